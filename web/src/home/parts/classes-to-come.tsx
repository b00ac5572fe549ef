import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomeClass, HomePageResponse } from '@leiter/contract';
import { daysBetween } from '@leiter/core';
import { tagOf } from '../../shared/family/languages';
import { layOutWords } from '../../shared/family/lay-out-words';
import { i18n } from '../../shared/texts';
import { useState } from 'react';
import { makeCalendar, type Tell } from '../home-client';
import { dayText, inDays } from '../home-words';
import { Section } from './section';

/** The classes to come, the next one with what to lay out; an absence is told by a press. */
export function ClassesToCome({ page, link, tell }: { readonly page: HomePageResponse; readonly link: string; readonly tell: Tell }) {
  const [next, ...later] = page.coming;
  return (
    <>
      {page.grading.map((one) => (
        <Section key={one.day} title={t`Grading day`}>
          <div className="card">
            <strong>
              {dayText(one.day)}, {one.warmUpAt ?? one.startsAt}
            </strong>{' '}
            <Trans>
              for {one.gradeName}, {inDays(daysBetween(page.today, one.day))}
            </Trans>
            <div className="soft">
              {one.warmUpAt === null ? t`When it is ${page.child.givenName}’s turn will be told.` : t`It begins with the warm-up.`}
            </div>
          </div>
        </Section>
      ))}
      <Section title={t`Next class`}>
        {next ? (
          <Next one={next} page={page} tell={tell} />
        ) : (
          <p className="soft">
            <Trans>No class is on the calendar in the next weeks.</Trans>
          </p>
        )}
        {later.map((one) => (
          <div key={`${one.groupId} ${one.day}`} className="line">
            <When one={one} />
            <div className="rest">
              <Comes one={one} page={page} tell={tell} />
            </div>
          </div>
        ))}
        <FollowIt link={link} />
      </Section>
    </>
  );
}

/** The calendar of the family's phone follows the classes and grading days, by a link of its own. */
function FollowIt({ link }: { readonly link: string }) {
  const [state, setState] = useState<'there' | 'coming' | 'refused' | { readonly address: string }>('there');
  const make = async (): Promise<void> => {
    setState('coming');
    try {
      setState({ address: `${window.location.host}/api/calendars/${await makeCalendar(link)}.ics` });
    } catch {
      setState('refused');
    }
  };
  if (typeof state === 'object')
    return (
      <p className="on-screen small" style={{ overflowWrap: 'anywhere', marginTop: 8 }}>
        <a href={`webcal://${state.address}`}>
          <Trans>Open it in the calendar</Trans>
        </a>{' '}
        <Trans>– or give the calendar this address: {`${window.location.protocol}//${state.address}`}</Trans>
      </p>
    );
  return (
    <p className="on-screen" style={{ marginTop: 8 }}>
      <button type="button" className="link" onClick={() => void make()}>
        {state === 'coming' ? t`One moment …` : state === 'refused' ? t`It did not come. Try again` : t`Follow these days in my calendar`}
      </button>
    </p>
  );
}

interface Props {
  readonly one: HomeClass;
  readonly page: HomePageResponse;
  readonly tell: Tell;
}

function Next({ one, page, tell }: Props) {
  return (
    <div className="card">
      <When one={one} about={inDays(daysBetween(page.today, one.day))} />
      {one.off === null && (
        <>
          {one.focus.length > 0 && (
            <p style={{ marginTop: 8 }}>{t`It is about: ${new Intl.ListFormat(tagOf(i18n.locale)).format(one.focus)}.`}</p>
          )}
          {one.layOut ? (
            <ul aria-label={t`To lay out`}>
              {layOutWords(i18n, one.layOut).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          ) : (
            <p className="soft" style={{ marginTop: 8 }}>
              <Trans>What to lay out will stand here once the class is planned.</Trans>
            </p>
          )}
        </>
      )}
      <Comes one={one} page={page} tell={tell} />
    </div>
  );
}

function When({ one, about }: { readonly one: HomeClass; readonly about?: string }) {
  return (
    <div>
      <strong>
        {dayText(one.day)}, {one.startsAt}
      </strong>
      <div className="soft">
        {[one.groupName, plural(one.lengthMinutes, { one: '# minute', other: '# minutes' }), ...(about === undefined ? [] : [about])].join(
          ' · ',
        )}
      </div>
      {one.off !== null && <strong className="caution">{t`Does not take place: ${one.off}`}</strong>}
    </div>
  );
}

function Comes({ one, page, tell }: Props) {
  const { groupId, day } = one;
  if (one.off !== null) return null;
  const say = (isAway: boolean): void => {
    void tell({ method: 'PUT', path: 'home/absence', body: { groupId, day, isAway } }, (now) => ({
      ...now,
      coming: now.coming.map((other) => (other.groupId === groupId && other.day === day ? { ...other, isAway } : other)),
    }));
  };
  return one.isAway ? (
    <>
      <strong>{t`You told: ${page.child.givenName} does not come.`}</strong>{' '}
      <button
        type="button"
        onClick={() => {
          say(false);
        }}
      >
        <Trans>Comes after all</Trans>
      </button>
    </>
  ) : (
    <button
      type="button"
      aria-label={t`Cannot come on ${dayText(day)}`}
      onClick={() => {
        say(true);
      }}
    >
      <Trans>Cannot come</Trans>
    </button>
  );
}
