import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import type { GradingPageResponse } from '@leiter/contract';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useLibrary } from '../queries/library.queries';
import { useProgrammeName } from '../queries/syllabus.queries';
import { ButtonLink } from '../shared/button-link';
import { ChoiceBar } from '../shared/choice-bar';
import { Loaded, Page } from '../shared/page';
import { dateText, dayText } from '../shared/words';
import { useGrading } from '../queries/grading.queries';
import { ExaminerSheet } from './parts/examiner-sheet';
import { Outcome } from './parts/outcome';
import { WhenAndWhere } from './parts/when-and-where';
import { WhoComes } from './parts/who-comes';

const steps = ['who', 'when', 'marks', 'grades'] as const;
type Step = (typeof steps)[number];
const stepWords: Readonly<Record<Step, string>> = { who: t`Who comes`, when: t`Timetable`, marks: t`Mark sheets`, grades: t`Grades` };

/** A grading day, in the order of its work: who comes, when and where, what is seen, what is given. */
function GradingPage() {
  const { id = '' } = useParams();
  const grading = useGrading(id);
  return (
    <Loaded query={grading} what={t`grading day`}>
      {(page) => <Day page={page} />}
    </Loaded>
  );
}

function Day({ page }: { readonly page: GradingPageResponse }) {
  const [search, setSearch] = useSearchParams();
  const programmeName = useProgrammeName();
  const library = useLibrary();
  const { grading } = page;
  // where the work is as it is opened; what is done there does not lead away from it
  const [first] = useState<Step>(() =>
    grading.closedAt !== null ? 'grades' : page.marks.length > 0 ? 'marks' : page.timetable ? 'when' : 'who',
  );
  const step = steps.find((one) => one === search.get('step')) ?? first;
  return (
    <Page
      title={t`Grading day · ${programmeName(grading.programme)}`}
      about={t`${grading.closedAt === null ? dayText(grading.day) : dateText(grading.day)}, ${grading.startsAt} · ${plural(grading.entered, { one: '# child', other: '# children' })}${grading.closedAt === null ? '' : t` · closed`}`}
      actions={
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <ChoiceBar
            label={t`Step`}
            choices={steps.map((value) => ({ value, words: stepWords[value] }))}
            value={step}
            onChange={(chosen) => {
              setSearch({ step: chosen ?? step }, { replace: true });
            }}
          />
          {grading.closedAt === null && grading.entered > 0 && (
            <ButtonLink to={`/gradings/${grading.id}/letters`}>
              <Trans>Letters</Trans>
            </ButtonLink>
          )}
          <ButtonLink to="/gradings">
            <Trans>All grading days</Trans>
          </ButtonLink>
        </Box>
      }
    >
      {step === 'who' && <WhoComes page={page} library={library} />}
      {step === 'when' && <WhenAndWhere page={page} />}
      {step === 'marks' && <ExaminerSheet page={page} library={library} />}
      {step === 'grades' && <Outcome page={page} library={library} />}
    </Page>
  );
}

export { GradingPage as Page };
