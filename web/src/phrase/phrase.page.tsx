import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  clockText,
  compacted,
  countsOf,
  leavesAt,
  libraryOf,
  mendedText,
  mirroredPhrase,
  missingEntries,
  phraseAs,
  phraseSeconds,
  readPhrase,
  walk,
  type Library,
  type WrittenPhrase,
  type Phrase,
} from '@leiter/core';
import type { MovementResponse } from '@leiter/contract';
import { useDeferredValue, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams } from 'react-router';
import { savePhrase, useMovements } from '../queries/library.queries';
import { useMay } from '../queries/may';
import { ApiError } from '../shared/api';
import { forgetDraft, keepDraft, keptDraft, type DraftKind } from '../shared/document-session/kept-draft';
import { FigureRow } from '../shared/figure-row';
import { Loaded, Page as Frame, Panel } from '../shared/page';
import { OnPaper } from '../shared/on-paper';
import { palette } from '../shared/palette';
import { AsFile } from './parts/as-file';
import { FloorPath } from './parts/floor-path';
import { InARoom, type Looked } from './parts/in-a-room';
import { PracticeBar } from './parts/practice-bar';
import { Score } from './parts/score';
import { WalkThrough } from './parts/walk-through';
import { WhichFoot } from './parts/which-foot';
import { Writing } from './parts/writing';
import { usePractice } from '../shared/phrase/use-practice';

const blank: WrittenPhrase = {
  beats: 8,
  learnBpm: 84,
  bpm: 100,
  countIn: 8,
  startWeight: 'both',
  startFacing: 1,
  endsAtStart: false,
  text: '',
};
const draftKind: DraftKind<WrittenPhrase> = {
  name: 'phrase',
  open: (kept) => {
    const fields = (kept ?? {}) as Readonly<Record<string, unknown>>;
    const isPhrase = Object.entries(blank).every(([field, value]) => typeof fields[field] === typeof value);
    return isPhrase ? (kept as WrittenPhrase) : null;
  },
  write: (written) => written,
};
const isSame = (a: WrittenPhrase, b: WrittenPhrase): boolean =>
  (Object.keys(blank) as (keyof WrittenPhrase)[]).every((field) => a[field] === b[field]);

/** A combination, a routine or a form step by step: written by keys, seen as a score, walked over the floor, to both sides. */
function PhrasePage() {
  const { slug = '' } = useParams();
  const movements = useMovements();
  const movement = movements.data?.find((one) => one.slug === slug);
  const library = useMemo(() => libraryOf(movements.data ?? []), [movements.data]);
  return (
    <Loaded query={movements} what={t`phrase`}>
      {() =>
        movement ? (
          <Editor key={slug} movement={movement} library={library} />
        ) : (
          <Frame title={t`Step by step`}>
            <Panel label={t`Steps`}>
              <Trans>There is no such movement.</Trans>
            </Panel>
          </Frame>
        )
      }
    </Loaded>
  );
}

function Editor({ movement, library }: { readonly movement: MovementResponse; readonly library: Library }) {
  const { change: mayChange } = useMay();
  const [written, setWritten] = useState(() => keptDraft(draftKind, movement.slug)?.content ?? movement.phrase ?? blank);
  const [isOther, setOther] = useState(false);
  const [looked, setLooked] = useState<Looked>({ tier: null, room: null, isFitted: false });
  const [state, setState] = useState<'kept' | 'saving' | { readonly failed: string }>('kept');
  const kept = movement.phrase ?? blank;
  const isChanged = !isSame(written, kept);
  // nothing written any more: then the movement has no steps
  const isEmpty = written.text.trim() === '';
  // on what it was written: where somebody saved other steps meanwhile, one decides
  const [base, setBase] = useState(() => keptDraft(draftKind, `${movement.slug}.base`)?.content ?? kept);
  if (state !== 'saving' && !isSame(base, kept) && isSame(written, base)) {
    // nothing of one's own: what others save is followed; set while rendering, as React advises for state that follows a prop
    setWritten(kept);
    setBase(kept);
  }
  // fields that hold what cannot be read begin anew with it
  const [takenBack, setTakenBack] = useState(0);
  const isOvertaken = isChanged && state === 'kept' && !isSame(base, kept);
  const read = useMemo(() => readPhrase(written), [written]);
  const chosen = useMemo(() => {
    const own = read.ok ? (isOther ? mirroredPhrase(read.value) : read.value) : null;
    return own && looked.tier ? phraseAs(own, looked.tier) : own;
  }, [read, isOther, looked.tier]);
  const fitted = useMemo(() => (chosen && looked.room ? compacted(chosen, looked.room) : null), [chosen, looked.room]);
  const phrase = looked.isFitted && fitted?.fits ? fitted.phrase : chosen;
  const way = useMemo(() => (phrase ? walk(phrase) : null), [phrase]);
  // the way and the body that walks it follow a moment after what is written
  const settled = useDeferredValue(phrase);
  const settledWay = useDeferredValue(way);
  const practice = usePractice(phrase);
  const change = (next: Partial<WrittenPhrase>): void => {
    const changed = { ...written, ...next };
    setWritten(changed);
    keepDraft(draftKind, movement.slug, { version: 1, content: changed });
    keepDraft(draftKind, `${movement.slug}.base`, { version: 1, content: base });
    setState('kept');
  };
  const forget = (now: WrittenPhrase): void => {
    forgetDraft(draftKind, movement.slug);
    forgetDraft(draftKind, `${movement.slug}.base`);
    setBase(now);
  };
  const takeBack = (): void => {
    setWritten(kept);
    setTakenBack((times) => times + 1);
    forget(kept);
    setState('kept');
  };
  const save = (): void => {
    if (!mayChange || !isChanged || isOvertaken || !(read.ok || isEmpty)) return;
    setState('saving');
    const now = isEmpty ? blank : written;
    savePhrase(movement.slug, isEmpty ? null : written, (before) => isSame(before ?? blank, base)).then(
      (isSaved) => {
        setState('kept');
        if (!isSaved) return;
        setWritten(now);
        forget(now);
      },
      (error: unknown) => {
        setState({ failed: error instanceof ApiError ? (error.problem?.errors?.[0]?.message ?? error.message) : t`It was not saved.` });
      },
    );
  };
  useHotkeys(['ctrl+s', 'meta+s'], save, { preventDefault: true, enableOnFormTags: true });
  return (
    <Frame
      title={movement.name}
      about={<Link to={`/library/${movement.slug}`}>{t`the movement`}</Link>}
      actions={
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
          <Button
            variant="outlined"
            aria-pressed={isOther}
            onClick={() => {
              setOther(!isOther);
            }}
          >
            {isOther ? t`As it is written` : t`The other side`}
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              window.print();
            }}
          >
            <Trans>On paper</Trans>
          </Button>
          {mayChange && isChanged && state !== 'saving' && (
            <Button variant="outlined" onClick={takeBack}>
              <Trans>Leave it as it was</Trans>
            </Button>
          )}
          {mayChange && (
            <Button variant="contained" disabled={!isChanged || isOvertaken || !(read.ok || isEmpty) || state === 'saving'} onClick={save}>
              {isChanged ? t`Save` : t`Saved`}
            </Button>
          )}
        </Box>
      }
    >
      {read.ok && (
        <OnPaper name="phrase">
          {() => (
            <>
              <Sheet phrase={read.value} name={movement.name} side={t`As it is written`} />
              <Sheet phrase={mirroredPhrase(read.value)} name={movement.name} side={t`The other side`} />
            </>
          )}
        </OnPaper>
      )}
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
              {...(mayChange && phrase === (isOther ? null : read.ok ? read.value : null)
                ? {
                    onMend: (row, foot, mend) => {
                      const text = mendedText(written.text, row, foot, mend);
                      if (text !== null) change({ text });
                    },
                  }
                : {})}
            />
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4, mt: 3, '& > *': { maxWidth: '100%' } }}>
              <Box>
                <Typography variant="h2" sx={{ mb: 0.75 }}>
                  <Trans>Where it goes</Trans>
                </Typography>
                <FloorPath walk={settledWay ?? way} room={looked.room} />
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
      {mayChange && (
        <Writing
          key={takenBack}
          written={written}
          faults={read.ok ? [] : read.error}
          change={change}
          file={
            <AsFile
              movement={movement}
              written={written}
              onRead={(next) => {
                change(next);
                setTakenBack((times) => times + 1);
              }}
            />
          }
        >
          <WhichFoot
            onWrite={(line, first, hasHop) => {
              const carries = hasHop ? first : first === 'left' ? 'right' : 'left';
              const isFirst = written.text.trim() === '';
              change({ text: isFirst ? line : `${written.text.trimEnd()}\n${line}`, ...(isFirst ? { startWeight: carries } : {}) });
            }}
          />
          {isOvertaken && (
            <Box role="alert" sx={{ color: palette.caution, mt: 1 }}>
              <Trans>Somebody saved other steps meanwhile.</Trans>
              <Box sx={{ display: 'flex', gap: 1.25, mt: 1 }}>
                <Button variant="outlined" onClick={takeBack}>
                  <Trans>Take theirs</Trans>
                </Button>
                <Button
                  variant="outlined"
                  onClick={() => {
                    setBase(kept);
                  }}
                >
                  <Trans>Go on with mine</Trans>
                </Button>
              </Box>
            </Box>
          )}
          {typeof state === 'object' && (
            <Box role="alert" sx={{ color: palette.stop, mt: 1 }}>
              {state.failed}
            </Box>
          )}
        </Writing>
      )}
    </Frame>
  );
}

/** One side on paper, four eights to a page: the score, and where it goes. */
function Sheet({ phrase, name, side }: { readonly phrase: Phrase; readonly name: string; readonly side: string }) {
  const way = walk(phrase);
  return (
    // as much smaller as four eights with their way need
    <Box sx={{ zoom: 0.82, '& + &': { breakBefore: 'page' } }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 1 }}>
        <Typography variant="h1">{name}</Typography>
        <span>{side}</span>
      </Box>
      <Score phrase={phrase} stands={way.stands} findings={way.findings} current={null} />
      <Box sx={{ mt: 1.5, breakInside: 'avoid' }}>
        <FloorPath walk={way} mostPixels={230} />
      </Box>
    </Box>
  );
}

export { PhrasePage as Page };
