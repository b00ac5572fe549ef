import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { SavedSyllabusResponse, SyllabusResponse } from '@leiter/contract';
import { gradesInUse } from '@leiter/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../queries/session.queries';
import { useOwnProgramme } from '../queries/groups.queries';
import { useLibrary } from '../queries/library.queries';
import { criterionText } from '../shared/criterion-text';
import { Figure } from '../shared/figure';
import { ExportMenu } from '../shared/export-menu';
import { Ladder } from '../shared/ladder';
import { Loaded, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { SyllabusImport } from './parts/syllabus-import';
import { LadderEditor } from './parts/ladder-editor';
import { useSyllabuses } from '../queries/syllabus.queries';

const schoolWords = {
  'early-static': t`short holds early, once warm`,
  'dynamic-first': t`moving stretches first, holds at the end`,
} as const;

/** The ladder of each programme, and what a grade asks for. */
function SyllabusPage() {
  const syllabuses = useSyllabuses();
  const library = useLibrary();
  const role = useSession().data?.person.role;
  const [programme, setProgramme] = useState<string | null>(null);
  const [open, setOpen] = useState<'change' | 'import' | null>(null);
  const [saved, setSaved] = useState<SavedSyllabusResponse | null>(null);
  const own = useOwnProgramme();
  const close = (): void => {
    setOpen(null);
  };
  return (
    <Loaded query={syllabuses} what={t`syllabuses`}>
      {(all) => {
        const shown = all.find((one) => one.programme === (programme ?? own)) ?? all[0];
        if (shown && open === 'change')
          return (
            <LadderEditor
              syllabus={shown}
              library={library}
              onLeave={close}
              onSaved={(answer) => {
                setSaved(answer);
                close();
              }}
            />
          );
        return (
          <Page
            title={t`Syllabus`}
            about={shown ? aboutLadder(shown) : ''}
            actions={
              <>
                <ToggleButtonGroup
                  exclusive
                  size="small"
                  value={shown?.programme}
                  aria-label={t`Programme`}
                  onChange={(_event, value: string | null) => {
                    if (value !== null) setProgramme(value);
                  }}
                >
                  {all.map((one) => (
                    <ToggleButton key={one.programme} value={one.programme}>
                      {one.programmeName}
                    </ToggleButton>
                  ))}
                </ToggleButtonGroup>
                {shown && (
                  <ExportMenu
                    files={[
                      { label: t`All ladders as a file`, href: '/api/syllabuses/export', name: 'syllabuses.json' },
                      {
                        label: t`${shown.programmeName} as a spreadsheet`,
                        href: `/api/syllabuses/${shown.programme}/table`,
                        name: t`${shown.programme}.csv`,
                      },
                    ]}
                  />
                )}
                {shown && role !== 'assistant' && (
                  <>
                    <Button
                      variant="outlined"
                      onClick={() => {
                        setOpen('import');
                      }}
                    >
                      <Trans>Import</Trans>
                    </Button>
                    <Button
                      variant="contained"
                      onClick={() => {
                        setOpen('change');
                      }}
                    >
                      <Trans>Change</Trans>
                    </Button>
                  </>
                )}
              </>
            }
          >
            {shown && <Grades key={`${shown.programme} ${String(shown.version)}`} syllabus={shown} saved={saved} />}
            {shown && open === 'import' && <SyllabusImport syllabus={shown} onClose={close} />}
          </Page>
        );
      }}
    </Loaded>
  );
}

function aboutLadder({ grades, stretchingSchool, version }: SyllabusResponse): string {
  return t`${plural(gradesInUse(grades).length, { one: '# grade', other: '# grades' })} · version ${version} · ${schoolWords[stretchingSchool]}`;
}

function savedWords({ syllabus, finishingOnEarlier }: SavedSyllabusResponse): string {
  const stay =
    finishingOnEarlier === 0
      ? t`No child has begun a grade that changed.`
      : t`${plural(finishingOnEarlier, { one: '# child finishes', other: '# children finish' })} the grade begun on version ${syllabus.version - 1}; on a child’s page it can be moved over.`;
  return t`Version ${syllabus.version} is saved. Grades that were earned stay earned. ${stay}`;
}

function Grades({ syllabus, saved }: { readonly syllabus: SyllabusResponse; readonly saved: SavedSyllabusResponse | null }) {
  const library = useLibrary();
  const grades = gradesInUse(syllabus.grades);
  const [chosen, setChosen] = useState(grades[0]?.id ?? '');
  const grade = grades.find(({ id }) => id === chosen);
  const isJustSaved = saved?.syllabus.programme === syllabus.programme && saved.syllabus.version === syllabus.version;
  return (
    <>
      <Panel label={t`Ladder`} width={330} padding={1.5}>
        <Ladder
          ground={syllabus.startsAs}
          climber={false}
          chosen={chosen}
          onChoose={setChosen}
          stepPixels={Math.min(130, 640 / (grades.length + 1))}
          rungs={grades.map(({ id, name, requirements }) => ({
            key: id,
            name,
            state: id === chosen ? 'earned' : 'above',
            beside: plural(requirements.length, { one: '# thing', other: '# things' }),
          }))}
        />
      </Panel>
      <Panel label={t`Requirements`}>
        {isJustSaved && (
          <Box role="status" sx={{ mb: 2, p: 1.25, border: `1px solid ${palette.line}`, borderRadius: '6px', maxWidth: 760 }}>
            {savedWords(saved)}
          </Box>
        )}
        {grade && (
          <Box sx={{ maxWidth: 760 }}>
            <Typography variant="h2">{grade.name}</Typography>
            <Typography variant="body2" sx={{ color: palette.soft, mb: 1 }}>
              <Trans>
                From {grade.leastAgeYears} years · at least <Plural value={grade.leastWeeksInGrade} one="# week" other="# weeks" /> and{' '}
                <Plural value={grade.leastClasses} one="# class" other="# classes" /> since the grade before
              </Trans>
            </Typography>
            <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
              {grade.requirements.map((requirement) => {
                const movement = library.get(requirement.movement);
                const stage = requirement.stage === null ? undefined : movement?.stages[requirement.stage - 1];
                return (
                  <Box
                    component="li"
                    key={requirement.id}
                    sx={{
                      display: 'grid',
                      gridTemplateColumns: '56px 1fr 300px',
                      gap: 2,
                      alignItems: 'center',
                      borderTop: `1px solid ${palette.line}`,
                      py: 1,
                    }}
                  >
                    <Figure movement={movement} size={52} />
                    <Box>
                      <Link to={`/library/${requirement.movement}`}>{movement?.name ?? requirement.movement}</Link>
                      <Box sx={{ fontSize: 13.5, color: palette.soft }}>
                        {stage ? t`Stage ${String(requirement.stage)}: ${stage.see}` : movement?.plainMeaning}
                      </Box>
                    </Box>
                    <Box sx={{ fontSize: 14.5 }}>{criterionText(requirement.criterion)}</Box>
                  </Box>
                );
              })}
            </Box>
          </Box>
        )}
      </Panel>
    </>
  );
}

export { SyllabusPage as Page };
