import type { Page } from 'playwright-core';

/** How high or wide a touch is at the least, px; half a pixel is rounding. */
const TOUCH_PX = 47.5;
/** So much two controls may lie over each other: a shared line. */
const SHARED_PX = 2;

/**
 * What cannot be touched well on the page as it is drawn: controls smaller than a touch, and controls that lie over each other. A link
 * inside a sentence is as high as its line (WCAG 2.5.8), and a control of a drawing as large as what it stands for.
 */
export const badlyLaid = (page: Page): Promise<string[]> =>
  page.evaluate(
    ([touch, shared]) => {
      const name = (e: Element) =>
        `${e.tagName.toLowerCase()} “${(e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40)}”`;
      const seen = [
        ...document.querySelectorAll<HTMLElement>(
          'a[href], button, input:not([type=hidden]), select, textarea, [role=button], summary',
        ),
      ].filter(
        (e) =>
          e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) &&
          !e.closest('svg, [inert]'),
      );
      /** The part of it that its scrolling parents let be seen. */
      const shownOf = (e: Element): DOMRect => {
        const own = e.getBoundingClientRect();
        let [left, top, right, bottom] = [own.left, own.top, own.right, own.bottom];
        for (let at = e.parentElement; at; at = at.parentElement) {
          if (getComputedStyle(at).overflow === 'visible') continue;
          const p = at.getBoundingClientRect();
          left = Math.max(left, p.left);
          top = Math.max(top, p.top);
          right = Math.min(right, p.right);
          bottom = Math.min(bottom, p.bottom);
        }
        return new DOMRect(left, top, Math.max(0, right - left), Math.max(0, bottom - top));
      };
      const boxOf = (e: HTMLElement): DOMRect => {
        // A box to tick and its words are one control.
        const label =
          e instanceof HTMLInputElement && ['checkbox', 'radio', 'file'].includes(e.type)
            ? e.closest('label')
            : null;
        return shownOf(label ?? e);
      };
      const inWords = (e: HTMLElement) =>
        getComputedStyle(e).display === 'inline' &&
        (e.parentElement?.textContent ?? '').trim().length > (e.textContent ?? '').trim().length;
      const found: string[] = [];
      const boxes = seen.map((e) => [e, boxOf(e)] as const).filter(([, b]) => b.width > 1 && b.height > 1);
      for (const [e, b] of boxes) {
        const own = e.getBoundingClientRect();
        // Scrolled half out of sight it is still as large as it is.
        if (
          inWords(e) ||
          b.height < own.height - 1 ||
          b.width < own.width - 1 ||
          (e as HTMLButtonElement).disabled
        )
          continue;
        if (b.height < touch) found.push(`${name(e)} is ${b.height.toFixed(0)} px high`);
        else if (b.width < touch && e.tagName !== 'A')
          found.push(`${name(e)} is ${b.width.toFixed(0)} px wide`);
      }
      for (let i = 0; i < boxes.length; i++)
        for (let j = i + 1; j < boxes.length; j++) {
          const [a, p] = boxes[i] as (typeof boxes)[number];
          const [c, q] = boxes[j] as (typeof boxes)[number];
          if (a.contains(c) || c.contains(a)) continue;
          const over = Math.min(
            Math.min(p.right, q.right) - Math.max(p.left, q.left),
            Math.min(p.bottom, q.bottom) - Math.max(p.top, q.top),
          );
          if (over <= shared) continue;
          // What scrolls under a bar that stands is not under a finger there: only what is on top at that point counts.
          const x = (Math.max(p.left, q.left) + Math.min(p.right, q.right)) / 2;
          const y = (Math.max(p.top, q.top) + Math.min(p.bottom, q.bottom)) / 2;
          const top = document.elementFromPoint(x, y);
          const stuck = (e: Element) => {
            for (let at: Element | null = e; at; at = at.parentElement)
              if (['fixed', 'sticky'].includes(getComputedStyle(at).position)) return true;
            return false;
          };
          if (stuck(a) !== stuck(c) || !top) continue;
          found.push(`${name(a)} and ${name(c)} lie over each other by ${over.toFixed(0)} px`);
        }
      return found;
    },
    [TOUCH_PX, SHARED_PX] as const,
  );
