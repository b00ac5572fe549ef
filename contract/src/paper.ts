/** Asked for in place of a PDF, the answer says meanwhile how far it is: lines of JSON, and after the one that says so the file. */
export const paperWithProgress = 'application/x-leiter-paper';

/** A line of such an answer. After `bytes`, so many bytes of PDF follow and nothing else; after `refused` nothing. */
export type PaperLine =
  { readonly set: number; readonly of: number } | { readonly name: string; readonly bytes: number } | { readonly refused: string };
