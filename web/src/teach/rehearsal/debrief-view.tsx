import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { clockText, groupBy, type Debrief, type Library, type RollDebrief } from '@leiter/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { headingFont, palette } from '../../shared/palette';
import { markWords } from '../../shared/words';

interface Props {
  readonly debrief: Debrief;
  readonly roll: RollDebrief;
  readonly nameOf: (childId: string) => string;
  readonly library: Library;
  readonly classId: string;
  readonly onAgain: () => void;
}

/** After a rehearsal: who was looked at, how the marks agree with what was shown, and what was missed. */
export function DebriefView({ debrief, roll, nameOf, library, classId, onAgain }: Props) {
  const movement = (slug: string): string => library.get(slug)?.name ?? slug;
  const fault = (slug: string, of: string): string =>
    library
      .get(of)
      ?.faults.find((one) => one.slug === slug)
      ?.name.toLowerCase() ?? slug;
  const { agreed, kinder, stricter, unmarked, faultsSeen, faultsMissed, faultsThatWereNone, looks, notLookedAt, incidents } = debrief;
  const given = agreed.length + kinder.length + stricter.length;
  const lookedAt = looks.length - notLookedAt.length;
  return (
    <Box sx={{ p: '30px 44px', height: '100%', overflowY: 'auto' }}>
      <Box component="h1" sx={{ m: 0, fontFamily: headingFont, fontSize: 48, lineHeight: 1.1 }}>
        <Trans>What you saw</Trans>
      </Box>
      <Box sx={{ fontSize: 20, color: palette.nightSoft, mb: 3 }}>
        <Trans>A rehearsal: nothing of it is in anybody’s record, nor in your pace.</Trans>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 6, rowGap: 3, fontSize: 18, lineHeight: 1.4 }}>
        <Part title={t`Looked at: ${lookedAt} of ${looks.length}`}>
          {notLookedAt.length === 0 ? t`Everybody.` : t`Nobody looked at: ${notLookedAt.map(nameOf).join(', ')}`}
        </Part>
        <Part title={roll.isTaken ? t`Roll right: ${roll.right} of ${roll.of}` : t`The roll was not taken`}>
          {roll.saidWrongly.length > 0 && <div>{t`Said to be there, and were not: ${roll.saidWrongly.map(nameOf).join(', ')}`}</div>}
          {roll.overlooked.length > 0 && <div>{t`There, and not said to be: ${roll.overlooked.map(nameOf).join(', ')}`}</div>}
          {roll.comings.map(({ child, kind, at, isNoticed }) => (
            <div key={`${child} ${kind}`}>
              {kind === 'came-late' ? t`${nameOf(child)} came at ${clockText(at)}` : t`${nameOf(child)} left at ${clockText(at)}`}
              {isNoticed ? t`: a roll says so.` : t`: no roll says so.`}
            </div>
          ))}
          {roll.isTaken && roll.saidWrongly.length + roll.overlooked.length + roll.comings.length === 0 && t`Everybody as they were.`}
        </Part>
        <Part title={t`What happened`}>
          {incidents.length === 0 && t`Nothing, as far as you came.`}
          {incidents.map(({ child, kind, from, until, noticedAfter }) => (
            <div key={`${child} ${kind}`}>
              {kind === 'off-screen'
                ? t`${nameOf(child)} was out of the picture from ${clockText(from)} for ${clockText(until - from)}`
                : t`${nameOf(child)} stopped at ${clockText(from)} for ${clockText(until - from)}`}
              {noticedAfter === null ? t`: not noticed.` : t`: noticed after ${clockText(noticedAfter)}.`}
            </div>
          ))}
        </Part>
        <Part title={t`Marks as shown: ${agreed.length} of ${given}`}>
          {kinder.map((one) => (
            <div key={`${one.child} ${one.movement}`}>
              {t`${nameOf(one.child)}, ${movement(one.movement)}: shown ${markWords[one.shown]}, you marked ${markWords[one.given]} – kinder.`}
            </div>
          ))}
          {stricter.map((one) => (
            <div key={`${one.child} ${one.movement}`}>
              {t`${nameOf(one.child)}, ${movement(one.movement)}: shown ${markWords[one.shown]}, you marked ${markWords[one.given]} – stricter.`}
            </div>
          ))}
          {given === 0 && t`You marked nobody.`}
          {unmarked.length > 0 && given > 0 && (
            <Box sx={{ color: palette.nightSoft }}>
              {[...groupBy(unmarked, (one) => one.movement)].map(([slug, own]) => (
                <div key={slug}>{t`Not marked, ${movement(slug)}: ${own.map(({ child }) => nameOf(child)).join(', ')}`}</div>
              ))}
            </Box>
          )}
        </Part>
        <Part title={t`Faults seen: ${faultsSeen.length} of ${faultsSeen.length + faultsMissed.length}`}>
          {faultsMissed.map((one) => (
            <div key={`${one.child} ${one.movement} ${one.fault}`}>
              {t`Missed: ${nameOf(one.child)}, ${movement(one.movement)} – ${fault(one.fault, one.movement)}.`}
            </div>
          ))}
          {faultsThatWereNone.length > 0 && (
            <Box sx={{ color: palette.nightSoft }}>
              {t`Not to be seen, but named: ${faultsThatWereNone.map((one) => `${nameOf(one.child)}, ${fault(one.fault, one.movement)}`).join('; ')}.`}
            </Box>
          )}
        </Part>
      </Box>
      <Box sx={{ display: 'flex', gap: 2, mt: 4 }}>
        <Button
          variant="contained"
          size="large"
          onClick={onAgain}
          sx={{ backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: palette.white } }}
        >
          <Trans>Rehearse it again</Trans>
        </Button>
        <Button
          component={Link}
          to={`/classes/${classId}`}
          variant="outlined"
          size="large"
          sx={{ color: palette.cream, borderColor: palette.nightSoft }}
        >
          <Trans>To the class</Trans>
        </Button>
      </Box>
    </Box>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box component="section" aria-label={title}>
      <Box component="h2" sx={{ m: 0, mb: 0.5, fontFamily: headingFont, fontSize: 24 }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}
