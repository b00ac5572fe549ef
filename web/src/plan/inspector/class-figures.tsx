import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import {
  clockText,
  sectionSeconds,
  spanWords,
  styleThatFits,
  type ClassPlan,
  type Evaluation,
  type Library,
  type PlanEdit,
} from '@leiter/core';
import { useMemo } from 'react';
import { useClassContext } from '../../queries/evaluation';
import { FigureRow } from '../../shared/figure-row';
import { OpenFigure } from '../../shared/open-figure';
import { sectionWords } from '../../shared/words';
import { StyleField } from './style-field';
import { changeParts, movingParts, paceParts, sectionParts, styleTotals, totalParts } from '../editing/class-parts';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** The class in figures, each of which opens to what it is made of. */
export function ClassFigures({ page, plan, evaluation, library, onEdit }: Props) {
  const context = useClassContext(page);
  const totals = useMemo(() => styleTotals(plan, library, context), [plan, library, context]);
  const { timeline } = evaluation;
  const changes = changeParts(timeline, page.class.startsAt);
  return (
    <>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>The class in figures</Trans>
      </Typography>
      <StyleField
        style={plan.style}
        usual={page.style}
        fitting={styleThatFits(page.pace, plan.style ?? page.style)}
        totals={totals}
        onChange={(style) => {
          onEdit([{ kind: 'set-style', style }]);
        }}
      />
      <Box component="dl" sx={{ m: 0, mb: 2 }}>
        <FigureRow label={t`Focus`} value={plan.focus.map((slug) => library.get(slug)?.name ?? slug).join(', ') || t`none yet`} />
        <OpenFigure label={t`All of it`} value={clockText(timeline.totalSeconds)} parts={totalParts(timeline)} />
        <FigureRow label={t`Likely, four times of five`} value={spanWords(evaluation.span)} />
        <OpenFigure
          label={t`Children move`}
          value={t`${Math.round(timeline.movingShare * 100)} % of the time`}
          parts={movingParts(timeline)}
        />
        <OpenFigure
          label={t`Standing ↔ floor`}
          value={plural(timeline.levelChanges, { one: '# change', other: '# changes' })}
          parts={changes.level}
        />
        <OpenFigure label={t`Camera`} value={plural(timeline.reframings, { one: '# move', other: '# moves' })} parts={changes.camera} />
        {sectionSeconds(plan, timeline)
          .filter(({ seconds }) => seconds > 0)
          .map(({ section, seconds }) => (
            <OpenFigure
              key={section.id}
              label={sectionWords[section.kind]}
              value={clockText(seconds)}
              parts={sectionParts(plan, timeline, section.id)}
            />
          ))}
        {page.pace.explainAll.items > 0 && (
          <OpenFigure
            label={t`Your own pace`}
            value={t`from ${plural(page.pace.explainAll.classes, { one: '# class', other: '# classes' })}`}
            parts={paceParts(page.pace)}
          />
        )}
      </Box>
    </>
  );
}
