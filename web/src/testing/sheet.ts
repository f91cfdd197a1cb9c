import { fireEvent } from '@testing-library/react';
import { until } from './until.ts';

/** One element by what the page calls it for tests. @throws with the text of the page where there is none */
export function the<T extends HTMLElement = HTMLElement>(selector: string): T {
  const found = document.querySelector<T>(selector);
  if (!found) throw new Error(`Not on the page: ${selector}\n${document.querySelector('main')?.textContent}`);
  return found;
}

export const all = (selector: string): HTMLElement[] => [...document.querySelectorAll<HTMLElement>(selector)];

export const field = (): HTMLInputElement => the<HTMLInputElement>('form[data-place] input');
export const placeNow = (): string | undefined => the('form[data-place]').dataset.place;

/** Type a reading without storing it. */
export async function type(text: string): Promise<void> {
  await until(field);
  fireEvent.change(field(), { target: { value: text } });
}

/** Type a reading and press Enter; the next place is asked for when this returns. */
export async function enter(text: string): Promise<void> {
  await type(text);
  const before = placeNow();
  fireEvent.submit(the('form[data-place]'));
  await until(() => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== before);
}

/** Press a button by its name, or by what the page calls it. */
export async function press(name: string | RegExp, inside: ParentNode = document): Promise<void> {
  const button = await until(() => {
    const all = [...inside.querySelectorAll<HTMLElement>('button, a')];
    const says = (b: HTMLElement) => (b.getAttribute('aria-label') ?? b.textContent ?? '').trim();
    const found = all.find((b) => (typeof name === 'string' ? says(b) === name : name.test(says(b))));
    if (!found) throw new Error(`No button ${name} among: ${all.map(says).join(' | ')}`);
    return found;
  });
  fireEvent.click(button);
}

/** A field by the beginning of its label. */
export function labelled(label: string): HTMLInputElement {
  const labels = all('label');
  const found = labels.find((l) => l.textContent?.trim().startsWith(label));
  const one =
    found?.querySelector('input, select') ?? document.getElementById(found?.getAttribute('for') ?? '');
  if (!one) throw new Error(`No field “${label}” among: ${labels.map((l) => l.textContent).join(' | ')}`);
  return one as HTMLInputElement;
}

/** Fill a field by its label, as a paste does. */
export async function fill(label: string, value: string): Promise<void> {
  fireEvent.change(await until(() => labelled(label)), { target: { value } });
}

/** The dialog that is open. */
export const dialog = (): Promise<HTMLElement> => until(() => the('[role="dialog"]'));

/** Give a reason in the dialog that is open, and do what it asks about. */
export async function giveReason(reason: string, does: string): Promise<void> {
  const open = await dialog();
  const words = await until(() => the<HTMLTextAreaElement>('[role="dialog"] textarea'));
  fireEvent.change(words, { target: { value: reason } });
  await press(does, open);
  await until(() => document.querySelector('[role="dialog"]') === null);
}

/** A finding stands on the page with this verdict. */
export const judged = (code: string, verdict: string): Promise<HTMLElement> =>
  until(() => the(`[data-finding="${code}"][data-verdict="${verdict}"]`));

/** Everything on this device is with the server. */
export const stored = (): Promise<HTMLElement> => until(() => the('[data-waiting="0"]'));
