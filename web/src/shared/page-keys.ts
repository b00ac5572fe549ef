/** Whether a dialog or a menu lies over the page: then keys are for it, and what is behind it does not move. */
export function isBehindDialog(): boolean {
  return document.querySelector('.MuiModal-root:not([aria-hidden="true"])') !== null;
}

/** What every key of a page has: it does nothing behind a dialog. */
export const pageKeys = { preventDefault: true, ignoreEventWhen: isBehindDialog } as const;
