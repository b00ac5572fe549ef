import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { severities, wordsOf, type Evaluation, type Finding, type FindingWords, type Library, type PlanEdit } from '@leiter/core';
import { memo, useState } from 'react';
import { palette } from '../../shared/palette';
import { plural } from '../../shared/words';
import { TextButton } from '../../shared/text-button';

interface Props {
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
  readonly onChoose: (itemId: string) => void;
}

/** How many are open of each kind. */
function OpenCounts({ findings }: { readonly findings: readonly Finding[] }) {
  const counts = severities.flatMap((severity) => {
    const count = findings.filter((finding) => finding.severity === severity).length;
    return count === 0 ? [] : [plural(count, severity, `${severity}s`)];
  });
  return (
    <Typography variant="body2" sx={{ color: palette.soft, mt: -0.75, mb: 1 }}>
      {findings.length} open: {counts.join(', ')}
    </Typography>
  );
}

const looks = {
  stop: { edge: palette.stop, style: 'solid', paper: palette.stopPaper, word: 'Stop' },
  caution: { edge: palette.caution, style: 'double', paper: palette.cautionPaper, word: 'Caution' },
  hint: { edge: '#8A8371', style: 'dotted', paper: '#FFFFFF', word: 'Hint' },
} as const;

/** What the checks say, worst first; a mend is one click and one undo. What is looked at and stands goes below, with its reason. */
export const FindingsList = memo(function FindingsList({ evaluation, library, onEdit, onChoose }: Props) {
  const open = evaluation.findings.filter(({ acceptedBecause }) => acceptedBecause === undefined);
  const accepted = evaluation.findings.filter(({ acceptedBecause }) => acceptedBecause !== undefined);
  // one item can have two findings of one check, of the neck and of the wrists: what is found is part of the key
  const keyOf = ({ check, itemIds, childIds = [], fact }: Finding): string =>
    `${check} ${JSON.stringify(fact)} ${itemIds.join()} ${childIds.join()}`;
  return (
    <Box sx={{ mb: 2.5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Before you teach this
      </Typography>
      {open.length > 0 && <OpenCounts findings={open} />}
      {open.length === 0 && <Typography variant="body2">Nothing to mend. The usual cautions are kept.</Typography>}
      <Box component="ul" aria-label="Findings" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {open.map((finding) => (
          <OpenFinding
            key={keyOf(finding)}
            finding={finding}
            words={wordsOf(finding, evaluation.timeline, library)}
            onEdit={onEdit}
            onChoose={onChoose}
          />
        ))}
      </Box>
      {accepted.length > 0 && (
        <Box component="ul" aria-label="Looked at" sx={{ listStyle: 'none', m: 0, p: 0, fontSize: 13.5 }}>
          {accepted.map((finding) => (
            <Box component="li" key={keyOf(finding)} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5 }}>
              <Box component="span" sx={{ color: palette.soft }}>
                {wordsOf(finding, evaluation.timeline, library).title} – stands: {finding.acceptedBecause}{' '}
              </Box>
              <TextButton
                label="Open again"
                onClick={() => {
                  onEdit([{ kind: 'open-again', check: finding.check, itemIds: finding.itemIds }]);
                }}
              />
            </Box>
          ))}
        </Box>
      )}
      <Typography variant="caption" component="p" sx={{ mt: 1 }}>
        Usual cautions only. Your governing body’s rules, your training and medical advice come first.
      </Typography>
    </Box>
  );
});

interface FindingProps extends Pick<Props, 'onEdit' | 'onChoose'> {
  readonly finding: Finding;
  readonly words: FindingWords;
}

/** A finding is a new object after every key; it is drawn anew only when it says or mends something else. */
function isSameFinding(before: FindingProps, after: FindingProps): boolean {
  const told = ({ finding, words }: FindingProps): string => JSON.stringify([words, finding.severity, finding.itemIds, finding.mend]);
  return before.onEdit === after.onEdit && before.onChoose === after.onChoose && told(before) === told(after);
}

const OpenFinding = memo(function OpenFinding({ finding, words, onEdit, onChoose }: FindingProps) {
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
        {words.mend !== null && (
          <TextButton
            label={words.mend}
            onClick={() => {
              if (finding.mend) onEdit(finding.mend);
            }}
          />
        )}
        {words.mend === null && first !== undefined && (
          <TextButton
            label="Show it"
            onClick={() => {
              onChoose(first);
            }}
          />
        )}
        {reason === null && (
          <TextButton
            label="Let it stand"
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
            label="Why it stands"
            value={reason}
            onChange={(event) => {
              setReason(event.target.value);
            }}
            slotProps={{ htmlInput: { maxLength: 300 } }}
          />
          <Button type="submit" variant="outlined" disabled={reason.trim() === ''} sx={{ px: 1 }}>
            Keep
          </Button>
        </Box>
      )}
    </Box>
  );
}, isSameFinding);
