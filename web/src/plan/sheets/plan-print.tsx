import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import type { ClassPageResponse } from '@leiter/contract';
import {
  clockText,
  countsText,
  circuitText,
  doseText,
  teachingText,
  firstRounds,
  homeTaskLines,
  itemTotals,
  sidesText,
  timeOfDay,
  versionCounts,
  type ClassPlan,
  type Evaluation,
  type Library,
} from '@leiter/core';
import { Figure } from '../../shared/figure';
import { OnPaper } from '../../shared/on-paper';
import { headingFont } from '../../shared/palette';
import { dayText, sectionWords } from '../../shared/words';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
  /** What is said before the first movement; asked only when there is paper. */
  readonly talk: () => readonly string[];
}

/** What the browser prints of the Plan page: the running order and the safety talk, and nothing of the screen round it. */
export function PlanPrint(props: Props) {
  return <OnPaper name="plan">{() => <Paper {...props} />}</OnPaper>;
}

function Paper({ page, plan, evaluation, library, talk }: Props) {
  const { timeline } = evaluation;
  return (
    <>
      <Box sx={{ fontFamily: headingFont, fontSize: '17pt', fontWeight: 700 }}>{page.class.groupName}</Box>
      <Box sx={{ mb: 1.5 }}>
        <Trans>
          {dayText(page.class.day)} · {page.class.startsAt} to {timeOfDay(page.class.startsAt, page.class.lengthMinutes * 60)} · planned{' '}
          {clockText(timeline.totalSeconds)}
        </Trans>
      </Box>
      {plan.story !== undefined && (
        <Box sx={{ mb: 1.5 }}>
          <Trans>Story: {plan.story}</Trans>
        </Box>
      )}
      <Rows page={page} plan={plan} evaluation={evaluation} library={library} />
      <Box sx={{ breakInside: 'avoid', mt: 2 }}>
        <Box sx={{ fontFamily: headingFont, fontSize: '12pt', fontWeight: 700 }}>
          <Trans>Before the first movement</Trans>
        </Box>
        <ul style={{ margin: '4pt 0', paddingLeft: '14pt' }}>
          {talk().map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {plan.homeTask && (
          <ul aria-label={t`Home task`} style={{ margin: '4pt 0 8pt', paddingLeft: '14pt' }}>
            {homeTaskLines(plan.homeTask, library).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
        <Trans>Usual cautions only. Your governing body’s rules, your training and medical advice come first.</Trans>
      </Box>
    </>
  );
}

function Rows({ page, plan, evaluation, library }: Omit<Props, 'talk'>) {
  const items = firstRounds(evaluation.timeline.items);
  const totals = itemTotals(evaluation.timeline.items);
  const counts = versionCounts(evaluation.versions);
  return (
    <Box
      component="table"
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        '& td': { borderTop: '0.5pt solid #999999', p: '1.5pt 6pt 1.5pt 0', verticalAlign: 'top' },
      }}
    >
      <tbody>
        {items.map(({ item, movement, section, startSecond, rounds }, index) => {
          const before = items[index - 1];
          const circuit = before?.item.circuit === item.circuit ? undefined : plan.circuits?.find(({ id }) => id === item.circuit);
          const cue = item.cue ?? movement.cues[0];
          return (
            <Box component="tr" key={item.id} sx={{ breakInside: 'avoid' }}>
              <td style={{ whiteSpace: 'nowrap', fontWeight: before?.section.id === section.id ? 400 : 700 }}>
                {timeOfDay(page.class.startsAt, startSecond)}
              </td>
              <td>{before?.section.id === section.id ? '' : sectionWords[section.kind]}</td>
              <td>
                <Figure movement={movement} size={22} />
              </td>
              <td>
                <strong>{movement.name}</strong>
                {circuit && ` – ${circuitText(circuit)}`}
                {!circuit && rounds > 1 && t` – in the circuit`}
              </td>
              <td>
                {[doseText(item.dose), teachingText(item, (slug) => library.get(slug)?.name ?? slug)]
                  .filter((one) => one !== '')
                  .join(', ')}
                {sidesText(item.sides) && `, ${sidesText(item.sides)}`}
              </td>
              <td>{countsText(counts.get(item.id), (slug) => library.get(slug)?.name ?? slug)}</td>
              <td>{cue === undefined ? '' : `“${cue}”`}</td>
              <td style={{ textAlign: 'right' }}>{clockText(totals.get(item.id)?.seconds ?? 0)}</td>
            </Box>
          );
        })}
      </tbody>
    </Box>
  );
}
