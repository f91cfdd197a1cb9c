/** Our mark: a wedge under a line. */
export function Mark({ size = 46 }: { size?: number }) {
  return (
    <svg width={size} height={(size * 24) / 46} viewBox="0 0 46 24" aria-hidden="true">
      <rect width="46" height="4" y="1" fill="var(--ink)" />
      <path d="M23 6 33 22H13z" fill="var(--brass)" />
    </svg>
  );
}
