import type { ChildLogEntry } from '@leiter/contract';

/** What was done, as one reads it on the page of the child. */
export function logWords({ kind, detail }: Pick<ChildLogEntry, 'kind' | 'detail'>): string {
  switch (kind) {
    case 'joined-group':
      return `Came into ${detail['group'] ?? 'a group'}`;
    case 'left-group':
      return `Left ${detail['group'] ?? 'a group'}`;
    case 'group-taught-by':
      return `${detail['group'] ?? 'Its group'} is taught by ${detail['person'] ?? 'nobody yet'}`;
    case 'health-written':
      return 'Health notes were changed';
    case 'record-handed-out':
      return 'The whole record was handed out';
    case 'grade-given':
      return `${detail['grade'] ?? 'A grade'} was given without all marks: ${detail['reason'] ?? ''}`;
    case 'grade-taken-back':
      return `${detail['grade'] ?? 'A grade'} was taken back: ${detail['reason'] ?? ''}`;
  }
}
