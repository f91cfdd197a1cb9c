import axe from 'axe-core';

/**
 * WCAG 2.2 A and AA violations of the page as it stands, those a document without layout shows: names, roles, order, what belongs to what.
 * Contrast and size are tried in a browser.
 */
export async function violations(): Promise<string[]> {
  const { violations } = await axe.run(document.body, {
    resultTypes: ['violations'],
    runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    rules: { 'color-contrast': { enabled: false }, 'target-size': { enabled: false } },
  });
  return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);
}
