import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { MovementResponse } from '@leiter/contract';
import { effortWord, tierNames, type AgeBand, type Library, type Movement, type Prerequisite } from '@leiter/core';
import { lazy, Suspense, type ReactNode, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useSession } from '../queries/session.queries';
import { useProgrammeName, useSyllabuses } from '../queries/syllabus.queries';
import { ChoiceBar } from '../shared/choice-bar';
import { FigureAge } from '../shared/figure-age';
import { TurnableFigure } from '../shared/turnable-figure';
import { MovementNeeds } from './parts/movement-needs';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { onPhone } from '../shared/screen';
import { adultWords, kindWords, markWords } from '../shared/words';
import { MovementDialog } from './parts/movement-dialog';
import { OwnCue } from './parts/own-cue';
import { cuesOf, putMovementAway, useLibrary, useMovements } from '../queries/library.queries';

/** One movement: its stages, versions, faults and fixes, how to help, and what to care about. */
function MovementPage() {
  const { slug = '' } = useParams();
  const movements = useMovements();
  const library = useLibrary();
  return (
    <Loaded query={movements} what={t`library`}>
      {(all) => {
        const movement = all.find((one) => one.slug === slug);
        return movement ? (
          <MovementView movement={movement} library={library} />
        ) : (
          <Message
            title={t`There is no such movement`}
            text={t`It may have been put away.`}
            action={{ label: t`To the library`, href: '/library' }}
          />
        );
      }}
    </Loaded>
  );
}

// the packages that draw the way are large and wanted only here
const WayGraph = lazy(async () => ({ default: (await import('./parts/way-graph')).WayGraph }));

/** Who is drawn: the ages for which doses are written. */
const drawnAges = [
  { band: '4-6', years: t`5 years` },
  { band: '7-9', years: t`8 years` },
  { band: '10-13', years: t`12 years` },
] as const;

function MovementView({ movement, library }: { readonly movement: MovementResponse; readonly library: Library }) {
  const { term } = movement;
  const programmeName = useProgrammeName();
  const role = useSession().data?.person.role;
  const mayChange = role === 'owner' || role === 'instructor';
  const ages = drawnAges.filter(({ band }) => movement.dose[band] !== null);
  const own = ages.find(({ band }) => band === '7-9') ?? ages[0];
  const [chosenAge, setAge] = useState<AgeBand | null>(null);
  const age = ages.find(({ band }) => band === chosenAge)?.band ?? own?.band ?? '7-9';
  const about = [
    kindWords[movement.kind],
    movement.programmes.map((one) => programmeName(one)).join(', ') || t`every programme`,
    effortWord(movement.effort),
    ...(movement.isOwn ? [t`of the club`] : []),
    ...(movement.isPutAway ? [t`put away`] : []),
  ];
  return (
    <Page
      title={movement.name}
      about={`${about.join(' · ')}${term ? t` · ${term.text}, say ${term.sayIt}` : ''}`}
      actions={<Actions movement={movement} />}
    >
      <Panel label={t`The movement`}>
        {term?.variants && (
          <Box component="p" sx={{ m: 0, mb: 1.5, color: palette.soft }}>
            {term.variants.map(({ text, sayIt, where }) => t`${where}: ${text}, say ${sayIt}`).join(' · ')}
          </Box>
        )}
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: '230px 1fr',
            gap: 2.5,
            mb: 2,
            [onPhone]: { gridTemplateColumns: '1fr', justifyItems: 'start' },
          }}
        >
          <Box>
            <FigureAge value={age}>
              <TurnableFigure movement={movement} size={230} />
            </FigureAge>
            {ages.length > 1 && (
              <Box sx={{ display: 'flex', justifyContent: 'center', mt: 1 }}>
                <ChoiceBar
                  label={t`Drawn as a child of`}
                  isSmall
                  choices={ages.map(({ band, years }) => ({ value: band, words: years, name: t`Drawn as a child of ${years}` }))}
                  value={age}
                  onChange={(chosen) => {
                    setAge(chosen);
                  }}
                />
              </Box>
            )}
          </Box>
          <Box>
            <Typography sx={{ fontSize: 18 }}>{movement.plainMeaning}</Typography>
            {movement.picture !== null && <Typography sx={{ color: palette.soft }}>“{movement.picture}”</Typography>}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5 }}>
              {cuesOf(movement).map((cue) => (
                <Box
                  key={cue}
                  sx={{ border: `1px solid ${palette.line}`, borderRadius: '6px', px: 1.25, py: 0.4, backgroundColor: palette.white }}
                >
                  {cue}
                </Box>
              ))}
            </Box>
            {mayChange && <OwnCue key={movement.slug} movement={movement} />}
          </Box>
        </Box>
        <StageLadder stages={movement.stages} />
        {(movement.phrase !== undefined || movement.kind === 'combination') && (
          <Box sx={{ mb: 2.5 }}>
            <Button component={Link} to={`/library/${movement.slug}/steps`} variant="outlined">
              {movement.phrase ? t`Step by step: score, both sides, floor` : t`Write it step by step`}
            </Button>
          </Box>
        )}
        <Versions movement={movement} library={library} />
        <Part title={t`Faults and what mends them`} list={movement.faults}>
          {(fault) => (
            <>
              <strong>{fault.name}</strong>
              {fault.stops && (
                <span style={{ color: palette.stop }}>
                  {' '}
                  <Trans>stop and mend</Trans>
                </span>
              )}
              <Box sx={{ color: palette.soft }}>{fault.fix}</Box>
            </>
          )}
        </Part>
        {movement.prerequisites.length + movement.leadsTo.length > 0 && (
          <Box component="section" aria-label={t`The way`} sx={{ mb: 2.5, maxWidth: 860 }}>
            <Typography variant="h2" sx={{ mb: 1 }}>
              <Trans>The way</Trans>
            </Typography>
            <Suspense
              fallback={
                <Box sx={{ height: 320, color: palette.soft }}>
                  <Trans>Drawing the way …</Trans>
                </Box>
              }
            >
              <WayGraph movement={movement} library={library} />
            </Suspense>
          </Box>
        )}
      </Panel>
      <Panel label={t`Facts`} width={380}>
        <MovementNeeds movement={movement} library={library} />
      </Panel>
    </Page>
  );
}

/** What somebody who may do it does with an entry: change it, copy it, put it away. */
function Actions({ movement }: { readonly movement: MovementResponse }) {
  const role = useSession().data?.person.role;
  const navigate = useNavigate();
  const [open, setOpen] = useState<'change' | 'copy' | null>(null);
  if (role !== 'owner' && role !== 'instructor') return null;
  return (
    <>
      <Button
        variant="outlined"
        onClick={() => {
          setOpen('change');
        }}
      >
        <Trans>Change</Trans>
      </Button>
      <Button
        variant="outlined"
        onClick={() => {
          setOpen('copy');
        }}
      >
        <Trans>Make a copy</Trans>
      </Button>
      <Button
        variant="outlined"
        onClick={() => {
          void putMovementAway(movement.slug, !movement.isPutAway);
        }}
      >
        {movement.isPutAway ? t`Put back` : t`Put away`}
      </Button>
      {open && (
        <MovementDialog
          movement={movement}
          isCopy={open === 'copy'}
          onClose={() => {
            setOpen(null);
          }}
          onSaved={(slug) => {
            setOpen(null);
            void navigate(`/library/${slug}`);
          }}
        />
      )}
    </>
  );
}

/** The steps of a skill as a small ladder, the easiest at its foot. */
function StageLadder({ stages }: { readonly stages: Movement['stages'] }) {
  if (stages.length === 0) return null;
  return (
    <Box component="section" aria-label={t`Stages`} sx={{ mb: 2.5, maxWidth: 720 }}>
      <Typography variant="h2" sx={{ mb: 0.75 }}>
        <Trans>Stages</Trans>
      </Typography>
      <Box
        component="ol"
        reversed
        sx={{
          listStyle: 'none',
          m: 0,
          p: '2px 12px',
          borderLeft: `4px solid ${palette.ink}`,
          borderRight: `4px solid ${palette.ink}`,
          borderRadius: '3px',
        }}
      >
        {stages.toReversed().map(({ name, see }, index) => (
          <Box component="li" key={name} sx={{ borderBottom: `3px solid ${palette.line}`, py: 0.6, fontSize: 15 }}>
            <strong>
              {stages.length - index} {name}
            </strong>
            <Box component="span" sx={{ color: palette.soft, ml: 1 }}>
              {see}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** What the children do who do it easier, as it is, or harder: side by side. */
/** What has to be known before a version: `Forward roll, “Roll on the flat”: alone`. */
function askedWords({ movement: slug, stage, mark }: Prerequisite, library: Library): string {
  const asked = library.get(slug);
  const name = stage === undefined ? undefined : asked?.stages[stage - 1]?.name;
  return t`${asked?.name ?? slug}${name === undefined ? '' : t`, “${name}”`}: ${markWords[mark]}`;
}

function Versions({ movement, library }: { readonly movement: Movement; readonly library: Library }) {
  const syllabuses = useSyllabuses().data ?? [];
  const gradeName = (slug: string): string =>
    syllabuses.flatMap(({ grades }) => grades).find((grade) => grade.slug === slug)?.name ?? slug.replaceAll('-', ' ');
  const versions = tierNames.flatMap((name) => (movement.tiers[name] ? [{ name, tier: movement.tiers[name] }] : []));
  if (versions.length === 0) return null;
  return (
    <Box component="section" aria-label={t`Versions`} sx={{ mb: 2.5, maxWidth: 720 }}>
      <Typography variant="h2" sx={{ mb: 0.75 }}>
        <Trans>Versions</Trans>
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${String(versions.length)}, 1fr)`, gap: 2 }}>
        {versions.map(({ name, tier }) => (
          <Box key={name} sx={{ borderTop: `3px solid ${palette.primary}`, pt: 0.75, fontSize: 15 }}>
            <strong>{name}</strong>
            {tier.fromGrade !== null && (
              <span style={{ color: palette.soft }}>
                {' '}
                <Trans>from {gradeName(tier.fromGrade)}</Trans>
              </span>
            )}
            <Box>{tier.what}</Box>
            {(tier.prerequisites ?? []).map((asked) => (
              <Box key={asked.movement} sx={{ color: palette.soft, fontSize: 14 }}>
                {t`after ${askedWords(asked, library)}`}
              </Box>
            ))}
            {tier.adult !== undefined && <Box sx={{ color: palette.soft, fontSize: 14 }}>{t`adult: ${adultWords[tier.adult]}`}</Box>}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Part<Entry>({
  title,
  list,
  children,
}: {
  readonly title: string;
  readonly list: readonly Entry[];
  readonly children: (entry: Entry, index: number) => ReactNode;
}) {
  if (list.length === 0) return null;
  return (
    <Box component="section" aria-label={title} sx={{ mb: 2.5, maxWidth: 720 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {list.map((entry, index) => (
        <Box key={index} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, fontSize: 15 }}>
          {children(entry, index)}
        </Box>
      ))}
    </Box>
  );
}

export { MovementPage as Page };
