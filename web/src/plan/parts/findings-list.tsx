import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { wordsOf, type Evaluation, type Finding, type Library } from '@leiter/core';
import { palette } from '../../shared/palette';

interface Props {
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly onMend: (finding: Finding) => void;
  readonly onChoose: (itemId: string) => void;
}

const looks = {
  stop: { edge: palette.stop, paper: palette.stopPaper, word: 'Stop' },
  caution: { edge: palette.caution, paper: palette.cautionPaper, word: 'Caution' },
  hint: { edge: '#8A8371', paper: '#FFFFFF', word: 'Hint' },
} as const;

/** What the checks say, worst first; a mend is one click and one undo. */
export function FindingsList({ evaluation, library, onMend, onChoose }: Props) {
  const { findings, timeline } = evaluation;
  return (
    <Box sx={{ mb: 2.5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Before you teach this
      </Typography>
      {findings.length === 0 && <Typography variant="body2">Nothing to mend. The usual cautions are kept.</Typography>}
      <Box component="ul" aria-label="Findings" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {findings.map((finding, index) => {
          const words = wordsOf(finding, timeline, library);
          const look = looks[finding.severity];
          const first = finding.itemIds[0];
          return (
            <Box
              component="li"
              key={`${finding.check} ${String(index)}`}
              sx={{
                borderLeft: `5px ${finding.severity === 'stop' ? 'solid' : finding.severity === 'caution' ? 'double' : 'dotted'} ${look.edge}`,
                backgroundColor: look.paper,
                px: 1.25,
                py: 0.9,
                mb: 0.9,
                fontSize: 14,
                lineHeight: 1.4,
              }}
            >
              <Box component="span" sx={{ color: look.edge === '#8A8371' ? palette.soft : look.edge, fontWeight: 700 }}>
                {look.word}:
              </Box>{' '}
              <strong>{words.title}.</strong> {words.sentence}{' '}
              {words.mend !== null && (
                <TextButton
                  label={words.mend}
                  onClick={() => {
                    onMend(finding);
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
            </Box>
          );
        })}
      </Box>
      <Typography variant="caption" component="p" sx={{ mt: 1 }}>
        Usual cautions only. Your governing body’s rules, your training and medical advice come first.
      </Typography>
    </Box>
  );
}

function TextButton({ label, onClick }: { readonly label: string; readonly onClick: () => void }) {
  return (
    <Box
      component="button"
      type="button"
      onClick={onClick}
      sx={{
        border: 0,
        background: 'none',
        p: 0,
        font: 'inherit',
        fontWeight: 700,
        color: palette.primary,
        textDecoration: 'underline',
        cursor: 'pointer',
        textAlign: 'left',
        minHeight: 24,
      }}
    >
      {label}
    </Box>
  );
}
