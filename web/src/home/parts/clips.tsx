import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomePageResponse, SentClip } from '@leiter/contract';
import { clipLimits } from '@leiter/core';
import { useId, useState } from 'react';
import { sendClip, type Tell } from '../home-client';
import { dateText } from '../home-words';
import { Section } from './section';

/** A clip of what the next grade asks, sent to be looked at; what was sent, and taken back. */
export function Clips({
  page,
  link,
  tell,
  onSent,
}: {
  readonly page: HomePageResponse;
  readonly link: string;
  readonly tell: Tell;
  readonly onSent: () => void;
}) {
  const asked = page.ladders.flatMap(({ next }) => next?.asked.filter(({ isForHome }) => isForHome) ?? []);
  const isAllowed = page.consents.some(({ kind, isGiven }) => kind === 'clips' && isGiven);
  const nameOf = (slug: string): string => page.movements.find((one) => one.slug === slug)?.name ?? slug;
  if (asked.length === 0 && page.clips.length === 0) return null;
  return (
    <div className="on-screen">
      <Section
        title={t`Show it in a clip`}
        about={t`At most a minute, or a picture. Only the instructors of the child see it; it is erased after 60 days, or when you take it back. What is not for home is shown in class.`}
      >
        {isAllowed ? (
          <Send asked={asked} nameOf={nameOf} link={link} onSent={onSent} />
        ) : (
          <p className="soft">
            <Trans>First allow it, under “What we allow”.</Trans>
          </p>
        )}
        {page.clips.map((clip) => (
          <div key={clip.id} className="line">
            <div>
              {nameOf(clip.movement)}
              <div className="small soft">
                {clip.seenAt === null
                  ? t`sent on ${dateText(clip.sentAt.slice(0, 10))}`
                  : t`looked at on ${dateText(clip.seenAt.slice(0, 10))}`}
              </div>
            </div>
            <button
              type="button"
              className="rest"
              aria-label={t`Take back the clip of ${nameOf(clip.movement)}`}
              onClick={() => {
                void tell({ method: 'DELETE', path: `home/clips/${clip.id}` }, (now) => without(now, clip));
              }}
            >
              <Trans>Take back</Trans>
            </button>
          </div>
        ))}
      </Section>
    </div>
  );
}

const without = (page: HomePageResponse, { id }: SentClip): HomePageResponse => ({
  ...page,
  clips: page.clips.filter((one) => one.id !== id),
});

type Asked = NonNullable<HomePageResponse['ladders'][number]['next']>['asked'];

function Send({
  asked,
  nameOf,
  link,
  onSent,
}: {
  readonly asked: Asked;
  readonly nameOf: (slug: string) => string;
  readonly link: string;
  readonly onSent: () => void;
}) {
  const [chosen, setChosen] = useState(0);
  const [state, setState] = useState<{ readonly sent: number } | { readonly refused: string } | 'sent' | null>(null);
  const ids = { what: useId(), file: useId() };
  const send = async (file: File): Promise<void> => {
    const what = asked[chosen];
    if (!what) return;
    const fault = await faultOf(file);
    if (fault !== null) {
      setState({ refused: fault });
      return;
    }
    setState({ sent: 0 });
    try {
      await sendClip(link, crypto.randomUUID(), { movement: what.movement, stage: what.stage }, file, (sent) => {
        setState({ sent });
      });
      setState('sent');
      onSent();
    } catch (error) {
      setState({ refused: error instanceof Error ? error.message : t`This did not work.` });
    }
  };
  const isSending = state !== null && typeof state === 'object' && 'sent' in state;
  return (
    <>
      <div>
        <label htmlFor={ids.what}>{t`What it shows`}</label>
        <select
          id={ids.what}
          value={chosen}
          disabled={isSending}
          onChange={(event) => {
            setChosen(Number(event.target.value));
          }}
        >
          {asked.map(({ movement, stage }, index) => (
            <option key={`${movement} ${String(stage)}`} value={index}>
              {nameOf(movement)}
            </option>
          ))}
        </select>
      </div>
      <div style={{ marginTop: 10 }}>
        <label htmlFor={ids.file}>{t`Film or picture`}</label>
        <input
          id={ids.file}
          type="file"
          accept="video/*,image/jpeg,image/png"
          disabled={isSending}
          onChange={(event) => {
            const [file] = event.currentTarget.files ?? [];
            if (file) void send(file);
            event.currentTarget.value = '';
          }}
        />
      </div>
      <div role="status" style={{ minHeight: 24, marginTop: 6 }}>
        {isSending && (
          <>
            <progress value={state.sent} max={1} style={{ width: '100%' }} /> {Math.round(state.sent * 100)} %
            {state.sent >= 1 && t` – it is being looked through …`}
          </>
        )}
        {state === 'sent' && t`Sent. The instructor looks at it.`}
      </div>
      {state !== null && typeof state === 'object' && 'refused' in state && (
        <div role="alert" className="caution">
          {state.refused}
        </div>
      )}
    </>
  );
}

/** What can be told before sixty megabytes are sent; null where it may be sent. The server looks again. */
async function faultOf(file: File): Promise<string | null> {
  if (file.size > clipLimits.bytes) return t`This file is larger than 60 MB. Film a shorter piece, or with less detail.`;
  if (!file.type.startsWith('video/')) return null;
  const seconds = await lengthOf(file);
  return seconds !== null && seconds > clipLimits.seconds + 1
    ? t`This is longer than a minute. Cut it on the phone, or film a shorter piece.`
    : null;
}

/** In seconds; null where the phone cannot say. */
function lengthOf(file: File): Promise<number | null> {
  const address = URL.createObjectURL(file);
  return new Promise<number | null>((resolve) => {
    const video = document.createElement('video');
    const timer = setTimeout(() => {
      resolve(null);
    }, 4000);
    video.preload = 'metadata';
    video.onloadedmetadata = () => {
      clearTimeout(timer);
      resolve(Number.isFinite(video.duration) ? video.duration : null);
    };
    video.onerror = () => {
      clearTimeout(timer);
      resolve(null);
    };
    video.src = address;
  }).finally(() => {
    URL.revokeObjectURL(address);
  });
}
