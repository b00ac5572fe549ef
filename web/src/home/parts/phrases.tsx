import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomePageResponse } from '@leiter/contract';
import type { Row } from '@leiter/core';
import { useState } from 'react';
import { doneWords, rowWords } from '../../shared/phrase/row-words';
import { Section } from './section';

type HomePhrase = HomePageResponse['phrases'][number];

/** Combinations and forms to step through, at one's own pace, to both sides. */
export function Phrases({ page: { phrases, movements } }: { readonly page: HomePageResponse }) {
  const [chosen, setChosen] = useState<string | null>(null);
  if (phrases.length === 0) return null;
  const nameOf = (slug: string): string => movements.find((one) => one.slug === slug)?.name ?? slug;
  const shown = phrases.find(({ movement }) => movement === chosen);
  return (
    <div className="on-screen">
      <Section title={t`Step by step`}>
        {shown ? (
          <Steps
            key={shown.movement}
            phrase={shown}
            name={nameOf(shown.movement)}
            onClose={() => {
              setChosen(null);
            }}
          />
        ) : (
          <div className="buttons">
            {phrases.map(({ movement }) => (
              <button
                key={movement}
                type="button"
                onClick={() => {
                  setChosen(movement);
                }}
              >
                {nameOf(movement)}
              </button>
            ))}
          </div>
        )}
      </Section>
    </div>
  );
}

/** `1`, `2 &`: the count on which a row begins. */
function countText({ at }: Row, beats: number): string {
  const whole = Math.floor(at + 1e-6);
  return `${String((whole % beats) + 1)}${at - whole > 0.01 ? ' &' : ''}`;
}

function Steps({ phrase, name, onClose }: { readonly phrase: HomePhrase; readonly name: string; readonly onClose: () => void }) {
  const [at, setAt] = useState(0);
  const [isOther, setOther] = useState(false);
  const rows = isOther ? phrase.other : phrase.own;
  const row = rows[at];
  if (!row) return null;
  return (
    <div className="card">
      <div className="line" style={{ borderTop: 0 }}>
        <strong>{name}</strong>
        <span className="rest small soft">{t`${at + 1} of ${rows.length}`}</span>
      </div>
      <div role="status" style={{ minHeight: 96 }}>
        <div className="large" style={{ fontSize: 30 }}>
          {countText(row, phrase.beats)}
        </div>
        <div style={{ fontSize: 19 }}>{rowWords(row)}</div>
        {row.arms !== null && <div className="soft">{t`arms: ${row.arms}`}</div>}
        {row.partner && <div className="soft">{t`who does it with them: ${row.partner.map(doneWords).join(', ')}`}</div>}
        {row.say !== null && <div className="soft">{t`word: ${row.say}`}</div>}
      </div>
      <div className="buttons">
        <button
          type="button"
          disabled={at === 0}
          onClick={() => {
            setAt(at - 1);
          }}
        >
          <Trans>Back</Trans>
        </button>
        <button
          type="button"
          className="main"
          onClick={() => {
            setAt((at + 1) % rows.length);
          }}
        >
          {at + 1 === rows.length ? t`From the beginning` : t`Next step`}
        </button>
        <button
          type="button"
          aria-pressed={isOther}
          onClick={() => {
            setOther(!isOther);
          }}
        >
          <Trans>The other side</Trans>
        </button>
        <button type="button" onClick={onClose}>
          <Trans>Close</Trans>
        </button>
      </div>
    </div>
  );
}
