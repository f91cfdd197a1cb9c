/** Give a field the caret as it comes, unless something laid over the sheet has it: what is being read there is not closed by a field. */
export function takeCaret(field: HTMLElement | null): void {
  if (document.activeElement?.closest('[role="dialog"]')) return;
  field?.focus({ preventScroll: true });
}
