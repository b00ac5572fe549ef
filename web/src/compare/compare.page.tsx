import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse, TaughtClass } from '@leiter/contract';
import { clockText, effortWord, type EffortCurve, type Library } from '@leiter/core';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useClassPage } from '../queries/class.queries';
import { evaluationOf } from '../queries/evaluation';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { dayText, sectionWords } from '../shared/words';
import { useTaughtBefore } from './compare.queries';
import { EffortChart } from './parts/effort-chart';
import { TimeChart } from './parts/time-chart';
import { excessOf, peakOf, sectionMeans, taughtEffort, totalOf, type PlannedAndReal } from './parts/taught';

/** A class beside those before it: what was planned and what it took, and how hard it was. */
function ComparePage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const taught = useTaughtBefore(id);
  const library = useLibrary();
  return (
    <Loaded query={page} what={t`class`}>
      {(data) => (
        <Loaded query={movements} what={t`library`}>
          {() => (
            <Loaded query={taught} what={t`classes before`}>
              {(classes) => <Beside page={data} classes={classes} library={library} />}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

interface Props {
  readonly page: ClassPageResponse;
  readonly classes: readonly TaughtClass[];
  readonly library: Library;
}

function Beside({ page, classes: all, library }: Props) {
  const classes = all.filter(({ items }) => items.length > 0);
  const thisClass = page.stored ? evaluationOf(page.stored.plan, library, page).effort : null;
  if (classes.length === 0)
    return (
      <Message
        title={t`Nothing to set it beside yet`}
        text={t`Teach a class of this group with the clock running: what was planned and what it took stands here afterwards.`}
        action={{ label: t`Back to the plan`, href: `/classes/${page.class.id}/plan` }}
      />
    );
  const efforts = classes.map(({ items }) => taughtEffort(items, library));
  const overall = totalOf(classes.flatMap(({ items }) => items));
  return (
    <Page
      title={page.class.groupName}
      about={t`${dayText(page.class.day)} beside the last ${plural(classes.length, { one: '# class', other: '# classes' })}`}
      actions={
        <Button component={Link} to={`/classes/${page.class.id}/plan`} variant="outlined">
          <Trans>Back to the plan</Trans>
        </Button>
      }
    >
      <Panel label={t`Time`}>
        <Typography variant="h2">
          <Trans>Planned and real time</Trans>
        </Typography>
        <Typography variant="body2" sx={{ color: palette.soft, mb: 1 }}>
          <Trans>Over these classes, what was planned took {shareWords(overall)}. The learned pace reckons with it.</Trans>
        </Typography>
        <Box sx={{ height: 260, mb: 2 }}>
          <TimeChart classes={classes} />
        </Box>
        <Table
          label={t`Planned and real time by section`}
          heads={[t`Section, per class`, t`Planned`, t`Really`, '']}
          rows={sectionMeans(classes).map((mean) => [
            sectionWords[mean.section],
            clockText(mean.plannedSeconds),
            clockText(mean.realSeconds),
            shareWords(mean),
          ])}
        />
      </Panel>
      <Panel label={t`Effort`}>
        <Typography variant="h2">
          <Trans>Effort, minute by minute</Trans>
        </Typography>
        <Typography variant="body2" sx={{ color: palette.soft, mb: 1 }}>
          <Trans>It should climb, peak between 40 and 80 % of the class, and end calm.</Trans>
        </Typography>
        <Box sx={{ height: 260, mb: 2 }}>
          <EffortChart thisClass={thisClass} earlier={efforts} />
        </Box>
        <Table
          label={t`Peaks and lengths`}
          heads={[t`Class`, t`Planned`, t`Really`, t`Peak`]}
          rows={[
            ...(thisClass
              ? [[t`This class`, clockText((thisClass.values.length - 1) * thisClass.stepSeconds), '', peakWords(thisClass)]]
              : []),
            ...classes.map(({ day, items }, index) => {
              const total = totalOf(items);
              const curve = efforts[index];
              return [dayText(day), clockText(total.plannedSeconds), clockText(total.realSeconds), curve ? peakWords(curve) : ''];
            }),
          ]}
        />
      </Panel>
    </Page>
  );
}

function shareWords(total: PlannedAndReal): string {
  const percent = Math.round(excessOf(total) * 100);
  if (percent === 0) return t`as long as planned`;
  return `${String(Math.abs(percent))} % ${percent > 0 ? t`longer` : t`less`}`;
}

function peakWords(curve: EffortCurve): string {
  const peak = peakOf(curve);
  if (!peak) return '';
  return t`${effortWord(Math.round(peak.effort) as 0 | 1 | 2 | 3 | 4)} at minute ${peak.minute}`; // effort lies between 0 and 4
}

function Table({
  label,
  heads,
  rows,
}: {
  readonly label: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly ReactNode[])[];
}) {
  const cell = { padding: '5px 10px 5px 0', borderTop: `1px solid ${palette.line}`, textAlign: 'left' } as const;
  return (
    <table aria-label={label} style={{ borderCollapse: 'collapse', width: '100%', fontSize: 14.5 }}>
      <thead>
        <tr>
          {heads.map((head) => (
            <th key={head} scope="col" style={{ ...cell, borderTop: 0, fontWeight: 400, color: palette.soft }}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, index) => (
          <tr key={String(index)}>
            {row.map((value, column) => (
              <td
                key={String(column)}
                style={{ ...cell, ...(column === 0 ? { fontWeight: 700 } : { fontVariantNumeric: 'tabular-nums' }) }}
              >
                {value}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

export { ComparePage as Page };
