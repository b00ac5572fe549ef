import { t } from '@lingui/core/macro';
import type { LetterKind, LetterResponse } from '@leiter/contract';
import { dateText } from '../../shared/words';

/** What a letter is about. */
export function kindWords(kind: LetterKind): string {
  switch (kind) {
    case 'before':
      return t`what to lay out`;
    case 'after':
      return t`what was done, and the task`;
    case 'missed':
      return t`was missed`;
    case 'ready':
      return t`ready for the grade`;
    case 'grading':
      return t`entered for the grade`;
    case 'link':
      return t`link of the family’s page`;
    case 'own':
      return t`in own words`;
  }
}

/** What became of a letter. */
export function stateWords({ state, writtenAt }: Pick<LetterResponse, 'state' | 'writtenAt'>): string {
  const at = new Date(writtenAt);
  const time = `${dateText(writtenAt.slice(0, 10))}, ${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
  switch (state) {
    case 'sending':
    case 'waiting':
      return t`on its way since ${time}`;
    case 'sent':
      return t`sent ${time}`;
    case 'caught':
      return t`written ${time}, kept in Leiter’s mailbox`;
    case 'failed':
      return t`not sent: ${time}`;
    case 'unsure':
      return t`may have been sent: ${time}`;
  }
}
