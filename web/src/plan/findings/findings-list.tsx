import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  aboutOf,
  abouts,
  clockText,
  severities,
  wordsOf,
  type About,
  type EvaluationContext,
  type Finding,
  type FindingWords,
  type Library,
  type PlanEdit,
  type TriedMend,
} from '@leiter/core';
import { memo, useState } from 'react';
import { aboutWords } from '../../shared/about-words';
import { palette } from '../../shared/palette';
import { TextButton } from '../../shared/text-button';
import { TurnedOff } from './turned-off';
import { keyOf, useTriedMends, type Reckoned } from './use-tried-mends';

interface Props {
  /** A plan and what was reckoned of it. */
  readonly reckoned: Reckoned;
  readonly library: Library;
  readonly context: EvaluationContext;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
  readonly onChoose: (itemId: string) => void;
}

/** By what they are about, each group worst first, the group with the worst first. */
function grouped(findings: readonly Finding[]): readonly { readonly about: About; readonly own: readonly Finding[] }[] {
  const worst = (own: readonly Finding[]): number => Math.min(...own.map(({ severity }) => severities.indexOf(severity)));
  return abouts
    .map((about) => ({ about, own: findings.filter(({ check }) => aboutOf(check) === about) }))
    .filter(({ own }) => own.length > 0)
    .sort((a, b) => worst(a.own) - worst(b.own));
}

const openWords: Readonly<Record<Finding['severity'], (count: number) => string>> = {
  stop: (count) => plural(count, { one: '# stop', other: '# stops' }),
  caution: (count) => plural(count, { one: '# caution', other: '# cautions' }),
  hint: (count) => plural(count, { one: '# hint', other: '# hints' }),
};

/** How many are open of each kind. */
function OpenCounts({ findings }: { readonly findings: readonly Finding[] }) {
  const counts = severities.flatMap((severity) => {
    const count = findings.filter((finding) => finding.severity === severity).length;
    return count === 0 ? [] : [openWords[severity](count)];
  });
  return (
    <Typography variant="body2" sx={{ color: palette.soft, mt: -0.75, mb: 1 }}>
      <Trans>
        {findings.length} open: {counts.join(', ')}
      </Trans>
    </Typography>
  );
}

const looks = {
  stop: { edge: palette.stop, style: 'solid', paper: palette.stopPaper, word: t`Stop` },
  caution: { edge: palette.caution, style: 'double', paper: palette.cautionPaper, word: t`Caution` },
  hint: { edge: palette.edge, style: 'dotted', paper: palette.white, word: t`Hint` },
} as const;

/** What the checks say, worst first; a mend is one click and one undo. What is looked at and stands goes below, with its reason. */
export const FindingsList = memo(function FindingsList({ reckoned, library, context, onEdit, onChoose }: Props) {
  const { evaluation } = reckoned;
  const tried = useTriedMends(reckoned, library, context);
  const open = evaluation.findings.filter(({ acceptedBecause }) => acceptedBecause === undefined);
  const accepted = evaluation.findings.filter(({ acceptedBecause }) => acceptedBecause !== undefined);
  return (
    <Box sx={{ mb: 2.5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        <Trans>Before you teach this</Trans>
      </Typography>
      {open.length > 0 && <OpenCounts findings={open} />}
      {open.length === 0 && (
        <Typography variant="body2">
          <Trans>Nothing to mend. The usual cautions are kept.</Trans>
        </Typography>
      )}
      <Box role="group" aria-label={t`Findings`}>
        {grouped(open).map(({ about, own }) => (
          <Box key={about} component="section" aria-label={aboutWords[about]}>
            <Typography variant="h3" sx={{ mt: 1, mb: 0.5 }}>
              {aboutWords[about]}
            </Typography>
            <Box component="ul" aria-label={t`Findings: ${aboutWords[about]}`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {own.map((finding) => {
                const held = tried.get(keyOf(finding)) ?? null;
                return (
                  <OpenFinding
                    key={keyOf(finding)}
                    finding={finding}
                    words={wordsOf(held ? { ...finding, mend: held.edits } : finding, evaluation.timeline, library)}
                    tried={held}
                    onEdit={onEdit}
                    onChoose={onChoose}
                  />
                );
              })}
            </Box>
          </Box>
        ))}
      </Box>
      {accepted.length > 0 && (
        <Box component="ul" aria-label={t`Looked at`} sx={{ listStyle: 'none', m: 0, p: 0, fontSize: 13.5 }}>
          {accepted.map((finding) => (
            <Box component="li" key={keyOf(finding)} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5 }}>
              <Box component="span" sx={{ color: palette.soft }}>
                <Trans>
                  {wordsOf(finding, evaluation.timeline, library).title} – stands: {finding.acceptedBecause}
                </Trans>{' '}
              </Box>
              <TextButton
                label={t`Open again`}
                onClick={() => {
                  onEdit([{ kind: 'open-again', check: finding.check, itemIds: finding.itemIds }]);
                }}
              />
            </Box>
          ))}
        </Box>
      )}
      <TurnedOff rules={context.rules} />
      <Typography variant="caption" component="p" sx={{ mt: 1 }}>
        <Trans>Usual cautions only. Your governing body’s rules, your training and medical advice come first.</Trans>
      </Typography>
    </Box>
  );
});

/** What a mend adds to the class; a second or two nobody asks about. */
function addedWords(seconds: number): string {
  return Math.abs(seconds) < 3 ? '' : ` (${seconds < 0 ? '−' : '+'}${clockText(Math.abs(seconds))})`;
}

interface FindingProps extends Pick<Props, 'onEdit' | 'onChoose'> {
  readonly finding: Finding;
  readonly words: FindingWords;
  /** Its mend, tried on the whole plan; null while that is not done, or where it does not hold. */
  readonly tried: TriedMend | null;
}

/** A finding is a new object after every key; it is drawn anew only when it says or mends something else. */
function isSameFinding(before: FindingProps, after: FindingProps): boolean {
  const told = ({ finding, words, tried }: FindingProps): string => JSON.stringify([words, finding.severity, finding.itemIds, tried]);
  return before.onEdit === after.onEdit && before.onChoose === after.onChoose && told(before) === told(after);
}

const OpenFinding = memo(function OpenFinding({ finding, words, tried, onEdit, onChoose }: FindingProps) {
  const [reason, setReason] = useState<string | null>(null);
  const look = looks[finding.severity];
  const first = finding.itemIds[0];
  return (
    <Box
      component="li"
      sx={{
        borderLeft: `5px ${look.style} ${look.edge}`,
        backgroundColor: look.paper,
        px: 1.25,
        py: 0.9,
        mb: 0.9,
        fontSize: 14,
        lineHeight: 1.4,
      }}
    >
      <Box component="span" sx={{ color: finding.severity === 'hint' ? palette.soft : look.edge, fontWeight: 700 }}>
        {look.word}:
      </Box>{' '}
      <strong>{words.title}.</strong> {words.sentence}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 0.25 }}>
        {words.mend !== null && tried && (
          <TextButton
            label={`${words.mend}${addedWords(tried.addsSeconds)}`}
            onClick={() => {
              onEdit(tried.edits);
            }}
          />
        )}
        {first !== undefined && (
          <TextButton
            label={t`Show it`}
            onClick={() => {
              onChoose(first);
            }}
          />
        )}
        {reason === null && (
          <TextButton
            label={t`Let it stand`}
            onClick={() => {
              setReason('');
            }}
          />
        )}
      </Box>
      {reason !== null && (
        <Box
          component="form"
          sx={{ display: 'flex', gap: 0.75, mt: 0.75 }}
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim() === '') return;
            onEdit([{ kind: 'accept', finding: { check: finding.check, itemIds: finding.itemIds, reason: reason.trim() } }]);
          }}
        >
          <TextField
            autoFocus
            fullWidth
            label={t`Why it stands`}
            value={reason}
            onChange={(event) => {
              setReason(event.target.value);
            }}
            slotProps={{ htmlInput: { maxLength: 300 } }}
          />
          <Button type="submit" variant="outlined" disabled={reason.trim() === ''} sx={{ px: 1 }}>
            <Trans>Keep</Trans>
          </Button>
        </Box>
      )}
    </Box>
  );
}, isSameFinding);
