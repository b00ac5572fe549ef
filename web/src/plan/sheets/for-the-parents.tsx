import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassResponse, ExpectedChild } from '@leiter/contract';
import {
  homeListOf,
  homeListWords,
  homeTaskLines,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type Library,
} from '@leiter/core';
import { useState } from 'react';
import { OnPaper } from '../../shared/on-paper';
import { headingFont, palette } from '../../shared/palette';
import { dayText } from '../../shared/words';

interface Props {
  readonly session: ClassResponse;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly people: readonly ExpectedChild[];
  readonly plan: ClassPlan;
  readonly context: EvaluationContext;
}

/** What each family needs for a class: to copy into a message, or to print and cut apart. */
export function ForTheParents({ session, evaluation, library, people, plan, context }: Props) {
  const [copied, setCopied] = useState<string | null>(null);
  const items = evaluation.timeline.items.map(({ item }) => item);
  const lists = people.map((child) => {
    const own = context.children.find(({ id }) => id === child.id);
    return {
      id: child.id,
      name: child.name,
      words: [
        ...homeListWords(homeListOf(child, evaluation.versions, library, items)),
        ...homeTaskLines(plan.homeTask, library, own && { child: own, ladder: context.ladder }),
      ],
    };
  });
  const copy = async (id: string, text: string): Promise<void> => {
    await navigator.clipboard.writeText(text);
    setCopied(id);
  };
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1.5 }}>
        <Typography sx={{ flex: 1 }}>
          <Trans>What each family needs for this class – of what its child does, and of nothing else.</Trans>
        </Typography>
        <Button
          variant="outlined"
          size="small"
          onClick={() => void copy('all', lists.map(({ name, words }) => [name, ...words].join('\n')).join('\n\n'))}
        >
          {copied === 'all' ? t`Copied` : t`Copy all of them`}
        </Button>
        <Button
          variant="outlined"
          size="small"
          onClick={() => {
            window.print();
          }}
        >
          <Trans>Print them</Trans>
        </Button>
      </Box>
      <Box
        component="ul"
        aria-label={t`Families`}
        sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 3 }}
      >
        {lists.map(({ id, name, words }) => (
          <Box component="li" key={id} sx={{ borderTop: `1px solid ${palette.line}`, py: 1, display: 'flex', gap: 1, alignItems: 'start' }}>
            <Box sx={{ flex: 1, fontSize: 14.5 }}>
              <strong>{name}</strong>
              <div>{words.join(' ')}</div>
            </Box>
            <Button size="small" variant="outlined" onClick={() => void copy(id, words.join('\n'))}>
              {copied === id ? t`Copied` : t`Copy`}
            </Button>
          </Box>
        ))}
      </Box>
      <OnPaper name="families">
        {() =>
          lists.map(({ id, name, words }) => (
            <Box key={id} sx={{ breakInside: 'avoid', borderBottom: '0.5pt dashed #999999', py: '8pt', fontSize: '11pt' }}>
              <Box sx={{ fontFamily: headingFont, fontSize: '13pt', fontWeight: 700 }}>
                {name} – {session.groupName}, {dayText(session.day)}, {session.startsAt}
              </Box>
              {words.map((line) => (
                <div key={line}>{line}</div>
              ))}
            </Box>
          ))
        }
      </OnPaper>
    </>
  );
}
