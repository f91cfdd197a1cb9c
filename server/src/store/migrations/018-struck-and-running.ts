/**
 * Nothing of the tables changes. From here on events may correct an answer, say that a number is lacking, or sign a sheet as running: a
 * server that does not know these would fold a job otherwise than it was recorded, and this mark keeps it from starting.
 */
export async function up(): Promise<void> {}
