import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { takeBackGrade } from '../../queries/children.queries';
import { ReasonForm } from '../../shared/reason-form';

/** Takes the last grade back, where it was given by mistake: with a reason, which stays with the child. */
export function TakeBackGrade({
  childId,
  grade,
}: {
  readonly childId: string;
  readonly grade: { readonly id: string; readonly name: string };
}) {
  return (
    <Box sx={{ textAlign: 'center', fontSize: 14, mt: 0.5 }}>
      <ReasonForm
        opening={t`Take ${grade.name} back`}
        label={t`Why ${grade.name} is taken back`}
        onSend={(reason) => takeBackGrade(childId, { gradeId: grade.id, reason })}
      />
    </Box>
  );
}
