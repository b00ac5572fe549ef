import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  libraryOf,
  mendedText,
  mirroredPhrase,
  readPhrase,
  walk,
  walkOfPartner,
  type Foot,
  type FootMend,
  type Library,
  type WrittenPhrase,
  type Phrase,
} from '@leiter/core';
import type { LiveEvent, MovementResponse, PhraseResponse } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams } from 'react-router';
import { readPhraseOf, useMovements } from '../queries/library.queries';
import { useMay } from '../queries/may';
import type { StoredDocument } from '../shared/document-session/document-kind';
import type { KeptHistory } from '../shared/document-session/kept-history';
import { SettleButtons } from '../shared/document-session/settle-buttons';
import { SaveNote } from '../shared/document-session/save-note';
import { useDocumentSession } from '../shared/document-session/use-document-session';
import { useKeptHistory } from '../shared/document-session/use-kept-history';
import { useOthersChanges } from '../shared/document-session/use-others-changes';
import { Loaded, Page as Frame, Panel } from '../shared/page';
import { OnPaper } from '../shared/on-paper';
import { pageKeys } from '../shared/page-keys';
import { palette } from '../shared/palette';
import { AsFile } from './parts/as-file';
import { FloorPath } from './parts/floor-path';
import { Score } from './parts/score';
import { Seen } from './parts/seen';
import { WhichFoot } from './parts/which-foot';
import { Writing } from './parts/writing';
import { phraseDocument, phraseKind } from './phrase-kind';
import { useWriting } from './use-writing';

/** A combination, a routine or a form step by step: written by keys, seen as a score, walked over the floor, to both sides. */
function PhrasePage() {
  const { slug = '' } = useParams();
  const movements = useMovements();
  const stored = useQuery({
    queryKey: ['phrase', slug],
    queryFn: () => readPhraseOf(slug),
    retry: false,
    // a page that is opened again reads what is stored by then; while it is open the session knows
    gcTime: 0,
    staleTime: Infinity,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
  });
  const history = useKeptHistory(phraseKind, slug);
  const movement = movements.data?.find((one) => one.slug === slug);
  const library = useMemo(() => libraryOf(movements.data ?? []), [movements.data]);
  if (movements.data && !movement)
    return (
      <Frame title={t`Step by step`}>
        <Panel label={t`Steps`}>
          <Trans>There is no such movement.</Trans>
        </Panel>
      </Frame>
    );
  return (
    <Loaded query={movements} what={t`phrase`}>
      {() => (
        <Loaded query={stored} what={t`phrase`}>
          {(phrase) =>
            movement && !history.isPending ? (
              <Editor key={slug} movement={movement} library={library} stored={phrase} history={history.data ?? null} />
            ) : null
          }
        </Loaded>
      )}
    </Loaded>
  );
}

interface EditorProps {
  readonly movement: MovementResponse;
  readonly library: Library;
  readonly stored: PhraseResponse;
  readonly history: KeptHistory<WrittenPhrase> | null;
}

function Editor({ movement, library, stored, history }: EditorProps) {
  const { slug } = movement;
  const { change: mayChange } = useMay();
  const document = phraseDocument(stored);
  const session = useDocumentSession({
    kind: phraseKind,
    id: slug,
    initial: document.content,
    stored: document,
    history,
    saves: 'by-itself',
  });
  const { store, content: written, state } = session;
  const changedBy = useOthersChanges({
    kind: phraseKind,
    id: slug,
    session,
    versionIn: useCallback((event: LiveEvent) => (event.topic === 'phrase' && event.movement === slug ? event.version : null), [slug]),
    askVersion: useCallback(async () => (await readPhraseOf(slug)).version, [slug]),
  });
  const { change, undo, redo, canUndo, canRedo } = useWriting(store);
  const [isOther, setOther] = useState(false);
  // what is typed is in its field at once; what is read of it follows a moment later, and never holds a key up
  const shown = useDeferredValue(written);
  const read = useMemo(() => readPhrase(shown), [shown]);
  const mend = useCallback(
    (row: number, foot: Foot, how: FootMend) => {
      const text = mendedText(shown.text, row, foot, how);
      if (text !== null) change({ text });
    },
    [shown, change],
  );
  const writingKeys = { ...pageKeys, enableOnFormTags: true, enabled: mayChange } as const;
  useHotkeys('mod+z', undo, writingKeys);
  useHotkeys(['mod+shift+z', 'mod+y'], redo, writingKeys);
  useHotkeys('mod+s', () => void session.save(), writingKeys);
  return (
    <Frame
      title={movement.name}
      about={<Link to={`/library/${movement.slug}`}>{t`the movement`}</Link>}
      actions={
        <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'center' }}>
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
          {mayChange && (
            <>
              <Button variant="outlined" disabled={!canUndo} onClick={undo}>
                <Trans>Undo</Trans>
              </Button>
              <Button variant="outlined" disabled={!canRedo} onClick={redo}>
                <Trans>Do again</Trans>
              </Button>
              <SaveNote state={state} changedBy={changedBy} />
            </>
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
      <Seen read={read} isOther={isOther} library={library} {...(mayChange ? { onMend: mend } : {})} />
      {mayChange && (
        <Writing
          written={written}
          faults={read.ok ? [] : read.error}
          change={change}
          file={<AsFile movement={movement} written={written} onRead={change} />}
        >
          <WhichFoot
            onWrite={(line, first, hasHop) => {
              const carries = hasHop ? first : first === 'left' ? 'right' : 'left';
              const isFirst = written.text.trim() === '';
              change({ text: isFirst ? line : `${written.text.trimEnd()}\n${line}`, ...(isFirst ? { startWeight: carries } : {}) });
            }}
          />
          {state.kind === 'conflict' && (
            <Conflict
              current={state.current}
              onSettle={(chosen) => {
                session.settle(chosen ?? written, state.current);
              }}
            />
          )}
        </Writing>
      )}
    </Frame>
  );
}

/** Somebody saved other steps meanwhile: both are there, and one decides. */
function Conflict({
  current,
  onSettle,
}: {
  readonly current: StoredDocument<WrittenPhrase> | null;
  /** Null for one's own. */
  readonly onSettle: (chosen: WrittenPhrase | null) => void;
}) {
  return (
    <Box role="alert" sx={{ color: palette.caution, mt: 1 }}>
      <div>{current?.savedBy ? t`${current.savedBy} saved other steps meanwhile.` : t`Somebody saved other steps meanwhile.`}</div>
      {current && (
        <Box component="pre" aria-label={t`What is stored`} sx={{ m: 0, mt: 1, color: palette.ink, whiteSpace: 'pre-wrap', fontSize: 13 }}>
          {current.content.text.trim() === '' ? t`nothing` : current.content.text}
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1.25, mt: 1 }}>
        <SettleButtons
          current={current}
          keep={t`Go on with mine`}
          onTake={({ content }) => {
            onSettle(content);
          }}
          onKeep={() => {
            onSettle(null);
          }}
        />
      </Box>
    </Box>
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
        <FloorPath walk={way} partner={walkOfPartner(phrase, way)} mostPixels={230} />
      </Box>
    </Box>
  );
}

export { PhrasePage as Page };
