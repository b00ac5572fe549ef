import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomeLadder, HomePageResponse } from '@leiter/contract';
import { standingNames, type StandingName } from '@leiter/core';
import { useState } from 'react';
import { Rungs, isMetName } from '../../shared/rungs';
import { badgeId, certificate } from '../home-client';
import { dateText } from '../home-words';
import { Section } from './section';

/** How far a standing is up the three rungs. */
const climbedOf = (standing: StandingName): number => Math.max(0, Math.min(3, standingNames.indexOf(standing) - 1));
const standingText: Readonly<Record<StandingName, string>> = {
  get unseen() {
    return t`not seen yet`;
  },
  get 'not-yet'() {
    return t`not yet`;
  },
  get 'with-help'() {
    return t`on the way`;
  },
  get shown() {
    return t`shown, once more is asked`;
  },
  get met() {
    return t`there`;
  },
  get fading() {
    return t`there; it will be looked at again`;
  },
};

/** The grades that the child has, with their certificates, and what the next one asks. */
export function HomeLadders({ page, link }: { readonly page: HomePageResponse; readonly link: string }) {
  return (
    <>
      {page.ladders.map((ladder) => (
        <Ladder key={ladder.programme} ladder={ladder} page={page} link={link} />
      ))}
    </>
  );
}

function Ladder({ ladder, page, link }: { readonly ladder: HomeLadder; readonly page: HomePageResponse; readonly link: string }) {
  const held = ladder.grades.filter(({ awardedOn }) => awardedOn !== null);
  const { next } = ladder;
  return (
    <Section title={ladder.programmeName}>
      <ul className="plain" aria-label={t`Grades`} style={{ marginBottom: 12 }}>
        {held.length === 0 && <li>{ladder.startsAs}</li>}
        {held.toReversed().map((grade) => (
          <li key={grade.gradeId}>
            <strong>{grade.name}</strong> <span className="soft">{dateText(grade.awardedOn ?? '')}</span>{' '}
            <Certificate link={link} gradeId={grade.gradeId} name={grade.name} />
            {page.consents.some(({ kind, isGiven }) => kind === 'badges' && isGiven) && (
              <>
                {' · '}
                <Badge link={link} gradeId={grade.gradeId} name={grade.name} />
              </>
            )}
          </li>
        ))}
      </ul>
      {next && (
        <>
          <p>
            <Trans>
              Towards <strong>{next.name}</strong>: {next.metCount} of {next.asked.length} are there.
            </Trans>
          </p>
          <ul className="plain" aria-label={t`Asked for ${next.name}`}>
            {next.asked.map(({ movement: slug, stage, standing }) => {
              const movement = page.movements.find((one) => one.slug === slug);
              const step = stage === null ? undefined : movement?.stages[stage - 1];
              return (
                <li key={`${slug} ${String(stage)}`} className="line">
                  <Rungs climbed={climbedOf(standing)} isMet={isMetName(standing)} isFading={standing === 'fading'} height={22} />
                  <div>
                    {movement?.name ?? slug}
                    <div className="small soft">{step ? step.see : movement?.plainMeaning}</div>
                  </div>
                  <div className="rest small" style={{ maxWidth: 110, fontWeight: isMetName(standing) ? 700 : 400 }}>
                    {standingText[standing]}
                  </div>
                </li>
              );
            })}
          </ul>
        </>
      )}
    </Section>
  );
}

function Certificate({ link, gradeId, name }: { readonly link: string; readonly gradeId: string; readonly name: string }) {
  const [state, setState] = useState<'there' | 'coming' | 'refused'>('there');
  const open = async (): Promise<void> => {
    setState('coming');
    try {
      const address = URL.createObjectURL(await certificate(link, gradeId));
      const anchor = document.createElement('a');
      anchor.href = address;
      anchor.download = `${name}.pdf`;
      anchor.click();
      // the browser has begun to take it by then
      setTimeout(() => {
        URL.revokeObjectURL(address);
      }, 10_000);
      setState('there');
    } catch {
      setState('refused');
    }
  };
  return (
    <button type="button" className="link" onClick={() => void open()}>
      {state === 'coming' ? t`One moment …` : state === 'refused' ? t`It did not come. Try again` : t`certificate`}
    </button>
  );
}

/** Leads to the page on which the badge is seen by whoever it is shown to. */
function Badge({ link, gradeId, name }: { readonly link: string; readonly gradeId: string; readonly name: string }) {
  const [state, setState] = useState<'there' | 'coming' | 'refused'>('there');
  const open = async (): Promise<void> => {
    setState('coming');
    try {
      window.location.assign(`/verify/${await badgeId(link, gradeId)}`);
    } catch {
      setState('refused');
    }
  };
  return (
    <button type="button" className="link" aria-label={t`Badge of ${name}`} onClick={() => void open()}>
      {state === 'coming' ? t`One moment …` : state === 'refused' ? t`It did not come. Try again` : t`badge`}
    </button>
  );
}
