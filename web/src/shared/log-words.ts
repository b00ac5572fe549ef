import { t } from '@lingui/core/macro';
import type { ChildLogEntry } from '@leiter/contract';

/** What was done, as one reads it on the page of the child. */
export function logWords({ kind, detail }: Pick<ChildLogEntry, 'kind' | 'detail'>): string {
  switch (kind) {
    case 'joined-group':
      return t`Came into ${detail['group'] ?? t`a group`}`;
    case 'left-group':
      return t`Left ${detail['group'] ?? t`a group`}`;
    case 'group-taught-by':
      return t`${detail['group'] ?? t`Its group`} is taught by ${detail['person'] ?? t`nobody yet`}`;
    case 'health-written':
      return t`Health notes were changed`;
    case 'health-seen':
      return t`Health notes were looked at`;
    case 'record-handed-out':
      return t`The whole record was handed out`;
    case 'clip-sent':
      return t`The family sent a clip`;
    case 'clip-seen':
      return t`A clip was looked at`;
    case 'clip-erased':
      return t`A clip was erased: ${detail['why'] ?? ''}`;
    case 'grade-given':
      return t`${detail['grade'] ?? t`A grade`} was given without all marks: ${detail['reason'] ?? ''}`;
    case 'grade-taken-back':
      return t`${detail['grade'] ?? t`A grade`} was taken back: ${detail['reason'] ?? ''}`;
  }
}
