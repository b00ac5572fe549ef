/** Something that was done about who sees a child, or with its health notes. */
export interface ChildLogEntry {
  readonly at: string;
  readonly by: string | null;
  readonly kind:
    | 'joined-group'
    | 'left-group'
    | 'group-taught-by'
    | 'health-written'
    | 'health-seen'
    | 'record-handed-out'
    | 'grade-taken-back'
    | 'grade-given'
    | 'clip-sent'
    | 'clip-seen'
    | 'clip-erased';
  /** The group, the person who teaches it now, or the reason. */
  readonly detail: Readonly<Record<string, string>>;
}
