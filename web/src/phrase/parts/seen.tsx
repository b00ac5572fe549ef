import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  clockText,
  compacted,
  countsOf,
  leavesAt,
  mirroredPhrase,
  missingEntries,
  phraseAs,
  phraseSeconds,
  walk,
  walkOfPartner,
  type Foot,
  type FootMend,
  type Library,
  type readPhrase,
} from '@leiter/core';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { FigureRow } from '../../shared/figure-row';
import { Panel } from '../../shared/page';
import { palette } from '../../shared/palette';
import { usePractice } from '../../shared/phrase/use-practice';
import { FloorPath } from './floor-path';
import { InARoom, type Looked } from './in-a-room';
import { PracticeBar } from './practice-bar';
import { Score } from './score';
import { WalkThrough } from './walk-through';

interface Props {
  readonly read: ReturnType<typeof readPhrase>;
  readonly isOther: boolean;
  readonly library: Library;
  /** Mends a row of what is written; left out for who may not. */
  readonly onMend?: (row: number, foot: Foot, mend: FootMend) => void;
}

/** What is seen of a phrase: its score, its way over the floor, the body that walks it, and what it is in figures. */
export const Seen = memo(function Seen({ read, isOther, library, onMend }: Props) {
  const [looked, setLooked] = useState<Looked>({ tier: null, room: null, isFitted: false });
  const chosen = useMemo(() => {
    const own = read.ok ? (isOther ? mirroredPhrase(read.value) : read.value) : null;
    return own && looked.tier ? phraseAs(own, looked.tier) : own;
  }, [read, isOther, looked.tier]);
  const fitted = useMemo(() => (chosen && looked.room ? compacted(chosen, looked.room) : null), [chosen, looked.room]);
  const phrase = looked.isFitted && fitted?.fits ? fitted.phrase : chosen;
  const way = useMemo(() => (phrase ? walk(phrase) : null), [phrase]);
  // the way and the body that walks it follow a moment after the score
  const settled = useDeferredValue(phrase);
  const settledWay = useDeferredValue(way);
  const partner = useMemo(() => (settled && settledWay ? walkOfPartner(settled, settledWay) : null), [settled, settledWay]);
  const practice = usePractice(phrase);
  return (
    <Panel label={t`Score`}>
      {phrase && way ? (
        <>
          <PracticeBar phrase={phrase} practice={practice} />
          {read.ok && chosen && (
            <InARoom
              phrase={read.value}
              chosen={chosen}
              looked={looked}
              onLook={setLooked}
              leaves={looked.room ? leavesAt(chosen, looked.room) : null}
              changes={fitted?.fits ? fitted.changes : null}
              needs={fitted && !fitted.fits ? fitted.needs : null}
            />
          )}
          <Score
            phrase={phrase}
            stands={way.stands}
            findings={way.findings}
            current={practice.row}
            missing={missingEntries(phrase, library)}
            {...(onMend && read.ok && phrase === read.value ? { onMend } : {})}
          />
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4, mt: 3, '& > *': { maxWidth: '100%' } }}>
            <Box>
              <Typography variant="h2" sx={{ mb: 0.75 }}>
                <Trans>Where it goes</Trans>
              </Typography>
              <FloorPath walk={settledWay ?? way} partner={partner} room={looked.room} />
            </Box>
            <Box>
              <Typography variant="h2" sx={{ mb: 0.75 }}>
                <Trans>Step by step</Trans>
              </Typography>
              <WalkThrough phrase={settled ?? phrase} practice={practice} />
            </Box>
            <Box sx={{ width: 300 }}>
              <Typography variant="h2" sx={{ mb: 0.75 }}>
                <Trans>What it is</Trans>
              </Typography>
              <dl style={{ margin: 0 }}>
                <FigureRow label={t`Counts`} value={String(countsOf(phrase.rows))} />
                <FigureRow label={t`Once, at ${phrase.bpm}`} value={clockText(phraseSeconds(phrase))} />
                <FigureRow label={t`Learnt, at ${phrase.learnBpm}`} value={clockText(phraseSeconds(phrase, phrase.learnBpm))} />
                <FigureRow label={t`Floor`} value={`${way.footprint.widthM.toFixed(1)} × ${way.footprint.lengthM.toFixed(1)} m`} />
                {partner && (
                  <FigureRow
                    label={t`Floor of both`}
                    value={`${partner.together.widthM.toFixed(1)} × ${partner.together.lengthM.toFixed(1)} m`}
                  />
                )}
                <FigureRow label={t`The other side`} value={way.startsOtherSide ? t`follows at once` : t`begins anew`} />
                <FigureRow
                  label={t`To mend`}
                  value={way.findings.length === 0 ? t`nothing` : plural(way.findings.length, { one: '# place', other: '# places' })}
                />
              </dl>
            </Box>
          </Box>
        </>
      ) : (
        <Box sx={{ color: palette.soft, maxWidth: 560 }}>
          <Trans>Nothing to show yet: the steps are written at the side, and seen here at once.</Trans>
        </Box>
      )}
    </Panel>
  );
});
