import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Foot, FootMend, FootPlace, Phrase, PhraseFinding, Row, Stand, Weight } from '@leiter/core';
import { bestSeenAt, partnerOn, phraseFindingWords, walkOfPartner } from '@leiter/core';
import { memo, useDeferredValue, useMemo } from 'react';
import { palette } from '../../shared/palette';
import { actWords, doneWords, rowWords } from '../../shared/phrase/row-words';
import { RowFigure, rowMarkup } from '../../shared/phrase/row-figure';
import { bodiesOf } from '../../shared/phrase/two-bodies';

const placeSigns: Readonly<Record<FootPlace, string>> = { fwd: '↑', back: '↓', side: '→', cross: '×', behind: '⤫', close: '·', place: '○' };
/** A left foot goes to the left. */
const leftSigns: typeof placeSigns = { ...placeSigns, side: '←' };
/** `3`, `&`: a count in its group. */
export const countSign = (at: number, beats: number): string => (at % 1 === 0 ? String((at % beats) + 1) : '&');

/** `Second eight, 3`: where a row is. */
function countName({ rows, segments, beats }: Phrase, row: number): string {
  const name = segments.find(({ from, to }) => row >= from && row < to)?.name ?? '';
  const sign = countSign(rows[row]?.at ?? 0, beats);
  return name === '' ? sign : t`${name}, ${sign}`;
}

/** Left is a square, right a disc: told apart by shape as well as by tone. */
export function FootSign({ weight, size = 14 }: { readonly weight: Weight; readonly size?: number }) {
  const left = (
    <Box
      component="span"
      sx={{ width: size, height: size, backgroundColor: palette.primary, borderRadius: '3px', display: 'inline-block' }}
    />
  );
  const right = (
    <Box
      component="span"
      sx={{ width: size, height: size, backgroundColor: palette.caution, borderRadius: '50%', display: 'inline-block' }}
    />
  );
  return (
    <Box
      component="span"
      role="img"
      aria-label={weight === 'both' ? t`on both feet` : weight === 'left' ? t`on the left` : t`on the right`}
      sx={{ display: 'inline-flex', gap: '2px' }}
    >
      {weight !== 'right' && left}
      {weight !== 'left' && right}
    </Box>
  );
}

interface Props {
  readonly phrase: Phrase;
  readonly stands: readonly Stand[];
  readonly findings: readonly PhraseFinding[];
  /** The row that is done now. */
  readonly current: number | null;
  /** Rows that name an entry which this club does not have. */
  readonly missing?: readonly { readonly row: number; readonly movement: string }[];
  /** Puts a step on the other foot, or a change of weight before it; left out where the steps are not written here. */
  readonly onMend?: (row: number, foot: Foot, mend: FootMend) => void;
}

/** A phrase as a score: time runs to the right in counts; feet, weight, arms and words each on a line; what cannot be done is marked at its row. */
export function Score({ phrase, stands, findings, current, missing = [], onMend }: Props) {
  // what is written is seen at once, the bodies a moment later
  const settled = useDeferredValue(phrase);
  const bodies = useMemo(() => {
    const both = bodiesOf(settled);
    return settled.rows.map((row) => rowMarkup(both, bestSeenAt(row)));
  }, [settled]);
  const partner = useMemo(() => walkOfPartner(phrase), [phrase]);
  const theirFindings = partner ? [...partner.tooNear, ...partner.findings] : [];
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      {findings.length + missing.length + theirFindings.length > 0 && (
        <Box component="ul" aria-label={t`To mend`} sx={{ m: 0, p: 0, listStyle: 'none', color: palette.stop }}>
          {findings.map((finding) => {
            const count = countName(phrase, finding.row);
            const foot = phrase.rows[finding.row]?.foot;
            return (
              <li key={`${String(finding.row)} ${finding.kind}`}>
                {t`${count}: ${phraseFindingWords(finding)}`}
                {onMend && finding.kind === 'foot-carries' && (foot === 'left' || foot === 'right') && (
                  <Box component="span" sx={{ display: 'inline-flex', gap: 0.75, ml: 1, '@media print': { display: 'none' } }}>
                    <Button
                      size="small"
                      variant="outlined"
                      onClick={() => {
                        onMend(finding.row, foot, 'other-foot');
                      }}
                    >
                      <Trans>The other foot</Trans>
                    </Button>
                    <Button
                      size="small"
                      variant="outlined"
                      onClick={() => {
                        onMend(finding.row, foot, 'ball-change');
                      }}
                    >
                      <Trans>A ball change before</Trans>
                    </Button>
                  </Box>
                )}
              </li>
            );
          })}
          {partner?.tooNear.map((finding) => {
            const count = countName(phrase, finding.row);
            return <li key={`near ${String(finding.row)}`}>{t`${count}: ${phraseFindingWords(finding)}`}</li>;
          })}
          {partner?.findings.map((finding) => {
            const count = countSign(partner.phrase.rows[finding.row]?.at ?? 0, phrase.beats);
            return (
              <li key={`partner ${String(finding.row)} ${finding.kind}`}>{t`The partner on ${count}: ${phraseFindingWords(finding)}`}</li>
            );
          })}
          {missing.map(({ row, movement }) => {
            const count = countName(phrase, row);
            return <li key={`${String(row)} ${movement}`}>{t`${count}: your library has no entry “${movement}”.`}</li>;
          })}
        </Box>
      )}
      {phrase.segments.map(({ name, from, to }) => (
        <Box component="section" key={from} aria-label={name === '' ? t`Steps` : name} sx={{ breakInside: 'avoid' }}>
          {name !== '' && <Box sx={{ fontWeight: 700, mb: 0.5 }}>{name}</Box>}
          <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexWrap: 'wrap', rowGap: 1 }}>
            {phrase.rows.slice(from, to).map((row, index) => {
              const at = from + index;
              return (
                <Cell
                  key={at}
                  row={row}
                  beats={phrase.beats}
                  weight={stands[at + 1]?.weight ?? 'both'}
                  isWrong={
                    findings.some((finding) => finding.row === at) || (partner?.tooNear.some(({ row: near }) => near === at) ?? false)
                  }
                  isCurrent={at === current}
                  body={bodies[at] ?? ''}
                  isTwo={partner !== null}
                  partner={partnerOn(phrase, at).map(doneWords).join(', ')}
                />
              );
            })}
          </Box>
        </Box>
      ))}
      <Box sx={{ fontSize: 13, color: palette.soft, display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
        <span>
          <FootSign weight="left" size={11} /> <Trans>left carries afterwards</Trans>
        </span>
        <span>
          <FootSign weight="right" size={11} /> <Trans>right carries afterwards</Trans>
        </span>
        <Trans>↑ forward, ↓ back, ← → to the side, × crosses in front, ⤫ behind, · closes, ○ in its place</Trans>
      </Box>
    </Box>
  );
}

const intoView = (cell: HTMLElement | null): void => cell?.scrollIntoView({ block: 'nearest' });

interface CellProps {
  readonly row: Row;
  readonly beats: number;
  readonly weight: Weight;
  readonly isWrong: boolean;
  readonly isCurrent: boolean;
  /** The strokes of the bodies on it. */
  readonly body: string;
  readonly isTwo: boolean;
  /** What the partner does meanwhile; empty for nothing. */
  readonly partner: string;
}

/** A row that was read anew and is what it was: of a long phrase only what changes is drawn again. */
const isSameCell = ({ row: a, ...before }: CellProps, { row: b, ...after }: CellProps): boolean =>
  (Object.keys(before) as (keyof typeof before)[]).every((field) => before[field] === after[field]) &&
  (a === b || JSON.stringify(a) === JSON.stringify(b));

const Cell = memo(function Cell({ row, beats, weight, isWrong, isCurrent, body, isTwo, partner }: CellProps) {
  const foot = row.foot === null ? '' : row.foot === 'both' ? 'LR' : row.foot === 'left' ? 'L' : 'R';
  const place = row.place ?? 'place';
  const sign = row.act === 'step' || row.act === 'touch' || row.act === 'leap' ? (row.foot === 'left' ? leftSigns : placeSigns)[place] : '';
  return (
    <Box
      component="li"
      aria-current={isCurrent || undefined}
      ref={isCurrent ? intoView : undefined}
      title={rowWords(row)}
      aria-label={
        partner === ''
          ? t`count ${countSign(row.at, beats)}: ${rowWords(row)}`
          : t`count ${countSign(row.at, beats)}: ${rowWords(row)}; the partner: ${partner}`
      }
      sx={{
        // an eight with an “and” in it stays on one line
        width: isTwo ? 124 : row.counts < 1 ? 64 : 84,
        minHeight: 108,
        px: 0.75,
        py: 0.5,
        borderLeft: row.at % beats === 0 ? `2px solid ${palette.primary}` : `1px solid ${palette.line}`,
        ...(isCurrent ? { backgroundColor: palette.shade, boxShadow: `inset 0 -4px 0 ${palette.primary}` } : {}),
        ...(isWrong ? { outline: `2px solid ${palette.stop}`, borderRadius: '6px', backgroundColor: palette.stopPaper } : {}),
        fontSize: 14,
        lineHeight: 1.25,
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline' }}>
        <Box component="span" sx={{ fontSize: row.at % 1 === 0 ? 22 : 16, fontWeight: 700 }}>
          {countSign(row.at, beats)}
          {row.counts > 1 && <span style={{ fontSize: 13, fontWeight: 400 }}>{`–${countSign(row.at + row.counts - 1, beats)}`}</span>}
        </Box>
        <FootSign weight={weight} />
      </Box>
      <RowFigure markup={body} size={row.counts < 1 && !isTwo ? 52 : 64} isTwo={isTwo} />
      <Box sx={{ fontWeight: 700 }}>
        {foot} {sign} {row.act !== null && row.act !== 'step' ? actWords[row.act] : ''}
      </Box>
      {row.turn !== 0 && <Box>{row.turn > 0 ? t`↺ ${row.turn}°` : t`↻ ${-row.turn}°`}</Box>}
      {row.movement !== null && <Box>{row.movement.replaceAll('-', ' ')}</Box>}
      {row.free !== null && (
        <Box>
          <Trans>own choice</Trans>
        </Box>
      )}
      {row.words !== null && <Box>{row.words}</Box>}
      {row.arms !== null && <Box sx={{ color: palette.soft }}>{row.arms}</Box>}
      {row.say !== null && <Box sx={{ fontStyle: 'italic' }}>{row.say}</Box>}
      {row.watch !== null && <Box sx={{ color: palette.caution }}>{row.watch}</Box>}
      {partner !== '' && <Box sx={{ mt: 0.5, pt: 0.25, borderTop: `1px dashed ${palette.line}`, fontSize: 13 }}>{t`with: ${partner}`}</Box>}
    </Box>
  );
}, isSameCell);
