import type { Page } from 'playwright-core';

/**
 * Words of the page that are not wholly seen: cut off by their box, running over the edge of the window, out of their drawing.
 * What a person scrolls to inside a box made for it is not cut off.
 */
export const cutOff = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const scrolls = (v: string) => v === 'auto' || v === 'scroll';
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const words = node.textContent?.trim() ?? '';
      const own = node.parentElement;
      if (words === '' || !own || !own.checkVisibility({ visibilityProperty: true, opacityProperty: true }))
        continue;
      // What only a screen reader says, and the list a browser draws itself.
      if (own.closest('.sr-only, option, script, style, title, desc, [inert]')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const box = range.getBoundingClientRect();
      if (box.width === 0 || box.height === 0) continue;
      const told = (how: string) => found.push(`“${words.slice(0, 60)}” ${how}`);
      const drawing = own.closest('svg');
      if (drawing) {
        const d = drawing.getBoundingClientRect();
        if (
          getComputedStyle(drawing).overflow !== 'visible' &&
          (box.left < d.left - 1 || box.right > d.right + 1)
        )
          told(`runs ${Math.max(d.left - box.left, box.right - d.right).toFixed(0)} px out of its drawing`);
        continue;
      }
      for (let at: HTMLElement | null = own; at; at = at.parentElement) {
        const style = getComputedStyle(at);
        if (scrolls(style.overflowX) || (at !== document.body && scrolls(style.overflowY))) break;
        if (style.position === 'fixed' || at === document.body) {
          if (box.right > innerWidth + 1 || box.left < -1) told('runs over the edge of the window');
          break;
        }
        if (style.overflowX === 'visible' && style.overflowY === 'visible') continue;
        const b = at.getBoundingClientRect();
        if (box.right > b.right + 1 || box.left < b.left - 1) told('is cut off at its side');
        else if (box.bottom > b.bottom + 3 || box.top < b.top - 3) told('is cut off below');
        else continue;
        break;
      }
    }
    return found;
  });
