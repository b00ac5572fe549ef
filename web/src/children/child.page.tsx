import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { ChildLadder, ChildPageResponse, SyllabusResponse } from '@leiter/contract';
import { ageOn, currentObservations, gradeAbove, isMet, verdictOn, type Day, type Library, type Missing, type Verdict } from '@leiter/core';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { useSession } from '../app/session.queries';
import { useGroups } from '../club/groups.queries';
import { useLibrary } from '../library/library.queries';
import { Ladder } from '../shared/ladder';
import { Loaded, Message, Page, Panel, Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { dateText, dayText, plural, programmeWords } from '../shared/words';
import { useSyllabuses } from '../syllabus/syllabus.queries';
import { useAwardGrade, useChildPage } from './children.queries';
import { AboutChild } from './parts/about-child';
import { ChildDialog } from './parts/child-dialog';
import { MeasureChart } from './parts/measure-chart';
import { RequirementLine } from './parts/requirement-line';

/** A child: its ladder, what it works on, what was seen when, what it has at home. */
export function ChildPage() {
  const { id = '' } = useParams();
  const page = useChildPage(id);
  const syllabuses = useSyllabuses();
  const session = useSession();
  return (
    <Loaded query={page} what="child">
      {(data) => (
        <Loaded query={syllabuses} what="syllabuses">
          {(all) => (
            <Child page={data} syllabuses={all} today={session.data?.today ?? ''} role={session.data?.person.role ?? 'assistant'} />
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

interface Props {
  readonly page: ChildPageResponse;
  readonly syllabuses: readonly SyllabusResponse[];
  readonly today: Day;
  readonly role: 'owner' | 'instructor' | 'assistant';
}

function Child({ page, syllabuses, today, role }: Props) {
  const { child, ladders } = page;
  const library = useLibrary();
  const groups = useGroups();
  const [programme, setProgramme] = useState(ladders[0]?.programme ?? '');
  const [isChanging, setChanging] = useState(false);
  const ladder = ladders.find((one) => one.programme === programme) ?? ladders[0];
  const syllabus = syllabuses.find((one) => one.programme === ladder?.programme);
  const verdict = useMemo(() => ladder && syllabus && verdictFor(page, ladder, syllabus, today), [page, ladder, syllabus, today]);
  const inGroups = (groups.data ?? []).filter(({ id }) => child.groupIds.includes(id)).map(({ name }) => name);
  const lastSeen = page.observations[0]?.seenOn;
  const about = [
    today === '' ? '' : `${String(ageOn(child.birthDate, today))} years`,
    inGroups.join(', ') || 'in no group',
    `${child.leadSide} leads`,
    lastSeen ? `last seen ${dayText(lastSeen)}` : 'never marked',
  ];
  return (
    <Page
      title={`${child.givenName} ${child.familyInitial}`}
      about={about.filter((part) => part !== '').join(' · ')}
      actions={
        <>
          {ladders.length > 1 && (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={ladder?.programme}
              aria-label="Programme"
              onChange={(_event, value: string | null) => {
                if (value !== null) setProgramme(value);
              }}
            >
              {ladders.map((one) => (
                <ToggleButton key={one.programme} value={one.programme}>
                  {programmeWords[one.programme] ?? one.programme}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          )}
          {role !== 'assistant' && (
            <Button
              variant="outlined"
              onClick={() => {
                setChanging(true);
              }}
            >
              Change
            </Button>
          )}
          {verdict?.earned && role !== 'assistant' && <AwardButton childId={child.id} verdict={verdict} />}
        </>
      }
    >
      {ladder && syllabus ? (
        <>
          <Panel label="Ladder" width={320} padding={1}>
            <ChildLadderView ladder={ladder} syllabus={syllabus} verdict={verdict ?? null} />
          </Panel>
          <Panel label="Next grade">
            {verdict ? (
              <NextGrade verdict={verdict} page={page} library={library} today={today} />
            ) : (
              <Typography variant="h2">The top of the ladder</Typography>
            )}
          </Panel>
        </>
      ) : (
        <Panel label="Ladder">
          <Message
            title="No ladder yet"
            text="A child climbs the ladder of the programme of its group. Put it into a group: Change, above."
          />
        </Panel>
      )}
      <Panel label="About the child" width={300}>
        <AboutChild page={page} library={library} role={role} />
      </Panel>
      {isChanging && groups.data && (
        <ChildDialog
          child={child}
          groups={groups.data}
          onClose={() => {
            setChanging(false);
          }}
        />
      )}
    </Page>
  );
}

function verdictFor(page: ChildPageResponse, ladder: ChildLadder, syllabus: SyllabusResponse, today: Day): Verdict | null {
  const earned = ladder.earned.at(-1)?.grade.id ?? null;
  const next = gradeAbove({ programme: syllabus.programme, version: syllabus.version, grades: syllabus.grades }, earned);
  if (!next || today === '') return null;
  const { birthDate, leadSide } = page.child;
  return verdictOn(
    next,
    page.observations,
    { birthDate, leadSide, inGradeSince: ladder.inGradeSince, classesSince: ladder.classesSince },
    today,
  );
}

function AwardButton({ childId, verdict }: { readonly childId: string; readonly verdict: Verdict }) {
  const award = useAwardGrade(childId);
  return (
    <>
      <Refused error={award.error} />
      <Button
        variant="contained"
        disabled={award.isPending}
        onClick={() => {
          award.mutate(verdict.grade.id);
        }}
      >
        Give {verdict.grade.name}
      </Button>
    </>
  );
}

function ChildLadderView({
  ladder,
  syllabus,
  verdict,
}: {
  readonly ladder: ChildLadder;
  readonly syllabus: SyllabusResponse;
  readonly verdict: Verdict | null;
}) {
  const earned = new Map(ladder.earned.map(({ grade, awardedOn }) => [grade.id, awardedOn]));
  return (
    <Ladder
      ground={syllabus.startsAs}
      stepPixels={Math.min(130, 640 / (syllabus.grades.length + 1))}
      rungs={syllabus.grades.map((grade) => {
        const awardedOn = earned.get(grade.id);
        const isNext = grade.id === verdict?.grade.id;
        return {
          key: grade.id,
          name: grade.name,
          state: awardedOn !== undefined ? 'earned' : isNext ? 'next' : 'above',
          ...(isNext ? { share: verdict.metCount / Math.max(1, verdict.standings.length) } : {}),
          beside:
            awardedOn !== undefined
              ? dateText(awardedOn).slice(-8)
              : isNext
                ? `${String(verdict.metCount)} of ${String(verdict.standings.length)}`
                : '',
        };
      })}
    />
  );
}

function NextGrade({
  verdict,
  page,
  library,
  today,
}: {
  readonly verdict: Verdict;
  readonly page: ChildPageResponse;
  readonly library: Library;
  readonly today: Day;
}) {
  const open = verdict.standings.filter((standing) => !isMet(standing)).length;
  const measured = verdict.standings.find(
    ({ requirement, sides }) => requirement.criterion.leastSeconds !== undefined && (sides[0]?.evidence.length ?? 0) > 2,
  );
  const movement = measured && library.get(measured.requirement.movement);
  const others = verdict.missing.filter(({ kind }) => kind !== 'requirement');
  return (
    <>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {verdict.earned
          ? `${verdict.grade.name} is earned`
          : `Towards ${verdict.grade.name}: ${open === 0 ? 'all shown' : `${plural(open, 'thing', 'things')} still to see`}`}
      </Typography>
      {others.map((one) => (
        <Typography key={one.kind} sx={{ color: palette.caution, mb: 0.5 }}>
          {missingWords(one)}
        </Typography>
      ))}
      <Box
        component="ul"
        aria-label={`Requirements of ${verdict.grade.name}`}
        sx={{ listStyle: 'none', m: 0, p: 0, borderBottom: `1px solid ${palette.line}` }}
      >
        {verdict.standings.map((standing) => (
          <RequirementLine
            key={standing.requirement.id}
            standing={standing}
            movement={library.get(standing.requirement.movement)}
            today={today}
          />
        ))}
      </Box>
      {measured && movement && (
        <MeasureChart
          movement={movement}
          observations={currentObservations(page.observations).filter((one) => one.movement === movement.slug)}
          askedSeconds={measured.requirement.criterion.leastSeconds ?? 0}
        />
      )}
    </>
  );
}

function missingWords(missing: Missing): string {
  switch (missing.kind) {
    case 'weeks-in-grade':
      return `${String(missing.have)} of ${String(missing.need)} weeks in the grade`;
    case 'classes':
      return `${String(missing.have)} of ${String(missing.need)} classes attended`;
    case 'age':
      return `From ${String(missing.need)} years on; now ${String(missing.have)}`;
    case 'requirement':
      return '';
  }
}
