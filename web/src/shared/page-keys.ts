/** Whether a dialog or a menu lies over the page: then keys are for it, and what is behind it does not move. */
export function isBehindDialog(): boolean {
  return document.querySelector('.MuiModal-root:not([aria-hidden="true"])') !== null;
}

/** What every key of a page has: it does nothing behind a dialog. */
export const pageKeys = { preventDefault: true, ignoreEventWhen: isBehindDialog } as const;

/** Whether a key is for a field in which somebody writes. */
export function isTyping({ target }: { readonly target: EventTarget | null }): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
}
