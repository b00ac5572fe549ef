import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { ClassPageResponse } from '@leiter/contract';
import type { Library } from '@leiter/core';
import { useState } from 'react';
import { putAwayMark, useMarkQueue, type WaitingMark } from '../../queries/mark-queue';
import { palette } from '../../shared/palette';

/** Marks that the server does not take: said whole and why; put away only by who has copied what it says. */
export function RefusedMarks({ page, library }: { readonly page: ClassPageResponse; readonly library: Library }) {
  const refused = useMarkQueue((queue) => queue.waiting).filter(({ refusal }) => refusal !== undefined);
  return refused.map((mark) => <RefusedMark key={mark.id} mark={mark} words={refusedWords(mark, page, library)} />);
}

function refusedWords({ request, givenAt }: WaitingMark, page: ClassPageResponse, library: Library): string {
  const child = page.children.find(({ id }) => id === request.childId)?.name ?? t`A child`;
  const movement = library.get(request.movement)?.name ?? request.movement;
  const side = request.side === 'none' ? '' : `, ${request.side}`;
  const more = [request.help ?? '', ...request.faults, request.note].filter((part) => part !== '').map((part) => part.replaceAll('-', ' '));
  return `${child}: ${movement}${side}, ${request.mark.replaceAll('-', ' ')}${more.length > 0 ? ` (${more.join(', ')})` : ''}, ${givenAt.slice(0, 10)}`;
}

function RefusedMark({ mark, words }: { readonly mark: WaitingMark; readonly words: string }) {
  const [isCopied, setCopied] = useState(false);
  return (
    <Alert
      severity="warning"
      sx={{ mb: 1, backgroundColor: palette.cautionPaper, color: palette.caution }}
      action={
        isCopied ? (
          <Button
            size="small"
            onClick={() => {
              void putAwayMark(mark.id);
            }}
          >
            <Trans>Put away</Trans>
          </Button>
        ) : (
          <Button
            size="small"
            onClick={() => {
              void navigator.clipboard.writeText(words).then(
                () => {
                  setCopied(true);
                },
                () => undefined,
              );
            }}
          >
            <Trans>Copy it</Trans>
          </Button>
        )
      }
    >
      <Trans>
        This mark was not taken ({mark.refusal}): {words}
      </Trans>
    </Alert>
  );
}
