import { t } from '@lingui/core/macro';
import type { HomeLook, HomePageResponse } from '@leiter/contract';
import { dateText } from '../home-words';
import { Section } from './section';

function lookWords(kind: HomeLook): string {
  switch (kind) {
    case 'health-seen':
      return t`looked at health notes`;
    case 'health-written':
      return t`changed health notes`;
    case 'clip-seen':
      return t`looked at a clip`;
    case 'record-handed-out':
      return t`handed out the whole record`;
    case 'grade-taken-back':
      return t`took a grade back`;
  }
}

/** Who of the club looked at health notes and clips, and what else was done with what is kept of the child. */
export function WhoLooked({ page: { looks } }: { readonly page: HomePageResponse }) {
  if (looks.length === 0) return null;
  return (
    <div className="on-screen">
      <Section title={t`Who looked`}>
        <details>
          <summary>{t`Health notes, clips and the record: the last ${looks.length} times`}</summary>
          {looks.map(({ at, by, kind }) => (
            <div key={`${at} ${kind}`} className="line">
              <span>
                {by ?? t`The club`} {lookWords(kind)}
              </span>
              <span className="rest small soft">{dateText(at.slice(0, 10))}</span>
            </div>
          ))}
        </details>
      </Section>
    </div>
  );
}
