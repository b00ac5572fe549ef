import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { SyllabusResponse } from '@leiter/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useOwnProgramme } from '../club/groups.queries';
import { useLibrary } from '../library/library.queries';
import { criterionText } from '../record/criterion-text';
import { Figure } from '../shared/figure';
import { Ladder } from '../shared/ladder';
import { Loaded, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { plural } from '../shared/words';
import { useSyllabuses } from './syllabus.queries';

const schoolWords = {
  'early-static': 'short holds early, once warm',
  'dynamic-first': 'moving stretches first, holds at the end',
} as const;

/** The ladder of each programme, and what a grade asks for. */
export function SyllabusPage() {
  const syllabuses = useSyllabuses();
  const [programme, setProgramme] = useState<string | null>(null);
  const own = useOwnProgramme();
  return (
    <Loaded query={syllabuses} what="syllabuses">
      {(all) => {
        const shown = all.find((one) => one.programme === (programme ?? own)) ?? all[0];
        return (
          <Page
            title="Syllabus"
            about={shown ? `${plural(shown.grades.length, 'grade', 'grades')} · stretching: ${schoolWords[shown.stretchingSchool]}` : ''}
            actions={
              <ToggleButtonGroup
                exclusive
                size="small"
                value={shown?.programme}
                aria-label="Programme"
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
            }
          >
            {shown && <Grades key={shown.programme} syllabus={shown} />}
          </Page>
        );
      }}
    </Loaded>
  );
}

function Grades({ syllabus }: { readonly syllabus: SyllabusResponse }) {
  const library = useLibrary();
  const [chosen, setChosen] = useState(syllabus.grades[0]?.id ?? '');
  const grade = syllabus.grades.find(({ id }) => id === chosen);
  return (
    <>
      <Panel label="Ladder" width={330} padding={1.5}>
        <Ladder
          ground={syllabus.startsAs}
          climber={false}
          chosen={chosen}
          onChoose={setChosen}
          stepPixels={Math.min(130, 640 / (syllabus.grades.length + 1))}
          rungs={syllabus.grades.map(({ id, name, requirements }) => ({
            key: id,
            name,
            state: id === chosen ? 'earned' : 'above',
            beside: plural(requirements.length, 'thing', 'things'),
          }))}
        />
      </Panel>
      <Panel label="Requirements">
        {grade && (
          <Box sx={{ maxWidth: 760 }}>
            <Typography variant="h2">{grade.name}</Typography>
            <Typography variant="body2" sx={{ color: palette.soft, mb: 1 }}>
              From {grade.leastAgeYears} years · at least {plural(grade.leastWeeksInGrade, 'week', 'weeks')} and{' '}
              {plural(grade.leastClasses, 'class', 'classes')} since the grade before
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
                        {stage ? `Stage ${String(requirement.stage)}: ${stage.see}` : movement?.plainMeaning}
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
