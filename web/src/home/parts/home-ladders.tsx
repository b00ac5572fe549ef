import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import type { HomeLadder, HomePageResponse } from '@leiter/contract';
import { standingNames, type StandingName } from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { Rungs, isMetName } from '../../shared/rungs';
import { TextButton } from '../../shared/text-button';
import { dateText } from '../../shared/words';
import { certificate } from '../home-client';
import { Section } from './section';

/** How far a standing is up the three rungs. */
const climbedOf = (standing: StandingName): number => Math.max(0, Math.min(3, standingNames.indexOf(standing) - 1));
const standingText: Readonly<Record<StandingName, string>> = {
  unseen: t`not seen yet`,
  'not-yet': t`not yet`,
  'with-help': t`on the way`,
  shown: t`shown, once more is asked`,
  met: t`there`,
  fading: t`there; it will be looked at again`,
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
      <Box component="ul" aria-label={t`Grades`} sx={{ listStyle: 'none', p: 0, m: 0, mb: 1.5 }}>
        {held.length === 0 && <li>{ladder.startsAs}</li>}
        {held.toReversed().map((grade) => (
          <Box component="li" key={grade.gradeId} sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap', py: 0.25 }}>
            <strong>{grade.name}</strong>
            <Box sx={{ color: palette.soft }}>{dateText(grade.awardedOn ?? '')}</Box>
            <Certificate link={link} gradeId={grade.gradeId} name={grade.name} />
          </Box>
        ))}
      </Box>
      {next && (
        <>
          <Box sx={{ mb: 0.5 }}>
            <Trans>
              Towards <strong>{next.name}</strong>: {next.metCount} of {next.asked.length} are there.
            </Trans>
          </Box>
          <Box component="ul" aria-label={t`Asked for ${next.name}`} sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {next.asked.map(({ movement: slug, stage, standing }) => {
              const movement = page.movements.find((one) => one.slug === slug);
              const step = stage === null ? undefined : movement?.stages[stage - 1];
              return (
                <Box
                  component="li"
                  key={`${slug} ${String(stage)}`}
                  sx={{ display: 'flex', gap: 1.25, alignItems: 'center', borderTop: `1px solid ${palette.line}`, py: 0.75 }}
                >
                  <Rungs climbed={climbedOf(standing)} isMet={isMetName(standing)} isFading={standing === 'fading'} height={22} />
                  <Box sx={{ lineHeight: 1.25 }}>
                    {movement?.name ?? slug}
                    <Box sx={{ fontSize: 14, color: palette.soft }}>{step ? step.see : movement?.plainMeaning}</Box>
                  </Box>
                  <Box sx={{ ml: 'auto', fontSize: 14, textAlign: 'right', fontWeight: isMetName(standing) ? 700 : 400, maxWidth: 110 }}>
                    {standingText[standing]}
                  </Box>
                </Box>
              );
            })}
          </Box>
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
    <TextButton
      label={state === 'coming' ? t`One moment …` : state === 'refused' ? t`It did not come. Try again` : t`certificate`}
      onClick={() => void open()}
    />
  );
}
