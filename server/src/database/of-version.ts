/** Kept for so many clubs. */
const mostKept = 20;

/** What is made of a version of something, once, for so many clubs; two that ask at once wait for the same. A failure is not kept. */
export class OfVersion<Value> {
  private readonly all = new Map<string, { readonly version: string; readonly value: Promise<Value> }>();

  of(clubId: string, version: string, make: () => Promise<Value>): Promise<Value> {
    const kept = this.all.get(clubId);
    if (kept?.version === version) return kept.value;
    // the oldest goes: a Map keeps the order in which its keys came
    const [oldest] = this.all.keys();
    if (this.all.size >= mostKept && oldest !== undefined) this.all.delete(oldest);
    const entry = { version, value: make() };
    this.all.set(clubId, entry);
    entry.value.catch(() => {
      if (this.all.get(clubId) === entry) this.all.delete(clubId);
    });
    return entry.value;
  }
}
