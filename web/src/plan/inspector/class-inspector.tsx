import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { isExpected } from '@leiter/contract/who-comes';
import type { ClassPlan, Evaluation, EvaluationContext, Library, PlanEdit } from '@leiter/core';
import { Link } from 'react-router';
import { WhomToWatchPanel, watchListOf } from '../../marking/whom-to-watch';
import { useGroupBoard } from '../../queries/record.queries';
import { palette } from '../../shared/palette';
import { ClassFigures } from './class-figures';
import { HomeTaskPanel, StoryField } from './home-task-panel';

/** What is opened or done from the class as a whole. */
export type ClassAction = 'fit' | 'who' | 'calm' | 'talk' | 'keep' | 'file';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly context: EvaluationContext;
  readonly onAction: (action: ClassAction) => void;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

const actions: readonly (readonly [ClassAction, string])[] = [
  ['fit', t`Fit to the clock`],
  ['who', t`Who does what`],
  ['calm', t`Calmer order`],
  ['talk', t`Safety talk`],
  ['keep', t`Keep as a template`],
  ['file', t`Import a plan file`],
];

/** The class as a whole: what can be done with it, its figures, who is coming. */
export function ClassInspector({ page, plan, evaluation, library, context, onAction, onEdit }: Props) {
  const away = page.children.filter(({ attendance }) => attendance === 'absent');
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mb: 2 }}>
        {actions.map(([action, label]) => (
          <Button
            key={action}
            variant="outlined"
            size="small"
            onClick={() => {
              onAction(action);
            }}
          >
            {label}
          </Button>
        ))}
        <Button variant="outlined" size="small" component={Link} to={`/classes/${page.class.id}/compare`}>
          <Trans>Beside earlier classes</Trans>
        </Button>
      </Box>
      <StoryField story={plan.story ?? ''} onEdit={onEdit} />
      <ToWatch page={page} plan={plan} library={library} />
      <HomeTaskPanel page={page} plan={plan} library={library} context={context} onEdit={onEdit} />
      <ClassFigures page={page} plan={plan} evaluation={evaluation} library={library} onEdit={onEdit} />
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>
          <Plural value={page.children.length - away.length} one="# child" other="# children" /> expected
        </Trans>
      </Typography>
      <Typography variant="body2" sx={{ color: palette.soft }}>
        {page.children
          .filter(isExpected)
          .map(({ name, ageYears }) => `${name} ${String(ageYears)}`)
          .join(', ')}
        {away.length > 0 && t` · away: ${away.map(({ name }) => name).join(', ')}`}
      </Typography>
    </>
  );
}

/** Of what this plan does, whom to look at: what is in focus counts most. */
function ToWatch({ page, plan, library }: Pick<Props, 'page' | 'plan' | 'library'>) {
  const board = useGroupBoard(page.class.groupId).data;
  if (!board) return null;
  const done = plan.sections.flatMap(({ items }) => items.map(({ movement }) => movement));
  const coming = new Set(page.children.filter(isExpected).map(({ id }) => id));
  const list = watchListOf(board, coming, [...new Set([...plan.focus.filter((slug) => done.includes(slug)), ...done])], page.class.day);
  return <WhomToWatchPanel list={list} board={board} library={library} />;
}
