/**
 * Wait until a look neither throws nor gives null or false, and give back what it gave. It is looked at again after each turn of the page.
 * @throws why it is still not so when the patience is over
 */
export async function until<T>(look: () => T, patienceMs = 20_000): Promise<Exclude<T, null | false>> {
  const began = performance.now();
  for (;;) {
    try {
      const seen = look();
      if (seen !== null && seen !== false) return seen as Exclude<T, null | false>;
      throw new Error(`Not so: ${look}`);
    } catch (error) {
      if (performance.now() - began > patienceMs) throw error;
    }
    await new Promise((done) => setTimeout(done, 1));
  }
}
