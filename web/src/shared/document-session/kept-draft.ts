/** What was written and did not reach the server. */
export interface Draft<Content> {
  /** The version it was written on: where somebody saved meanwhile, saving it ends in the difference to settle. */
  readonly version: number;
  readonly content: Content;
}

/** What of a kind of document it takes to keep a draft of it. */
export interface DraftKind<Content> {
  readonly name: string;
  readonly open: (kept: unknown) => Content | null;
  readonly write: (content: Content) => object;
}

/** What somebody else wrote in this browser is not for who is signed in now. */
let personId: string | null = null;

export function noteDraftOwner(id: string | null): void {
  personId = id;
}

const keyOf = (kind: string, id: string): string => `leiter-${kind}-${id}`;

/** The draft of a document from before a reload; null where there is none, or none that can be read. */
export function keptDraft<Content>(kind: DraftKind<Content>, id: string): Draft<Content> | null {
  const kept = localStorage.getItem(keyOf(kind.name, id));
  if (kept === null) return null;
  try {
    const { version, personId: by, ...draft } = JSON.parse(kept) as Readonly<Record<string, unknown>>;
    // before drafts had a version, a plan stood under its own name
    const content = kind.open(draft['content'] ?? draft['plan']);
    if (typeof version !== 'number' || content === null) return null;
    return by === undefined || by === personId ? { version, content } : null;
  } catch {
    return null;
  }
}

/** @returns false where the browser keeps nothing, or is full: then only what was saved is safe */
export function keepDraft<Content>(kind: DraftKind<Content>, id: string, { version, content }: Draft<Content>): boolean {
  try {
    localStorage.setItem(keyOf(kind.name, id), JSON.stringify({ v: 1, version, personId, content: kind.write(content) }));
    return true;
  } catch {
    return false;
  }
}

export function forgetDraft(kind: Pick<DraftKind<never>, 'name'>, id: string): void {
  localStorage.removeItem(keyOf(kind.name, id));
}
