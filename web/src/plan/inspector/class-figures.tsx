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
import { plural, sectionWords } from '../../shared/words';
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
        The class in figures
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
        <FigureRow label="Focus" value={plan.focus.map((slug) => library.get(slug)?.name ?? slug).join(', ') || 'none yet'} />
        <OpenFigure label="All of it" value={clockText(timeline.totalSeconds)} parts={totalParts(timeline)} />
        <FigureRow label="Likely, four times of five" value={spanWords(evaluation.span)} />
        <OpenFigure
          label="Children move"
          value={`${String(Math.round(timeline.movingShare * 100))} % of the time`}
          parts={movingParts(timeline)}
        />
        <OpenFigure label="Standing ↔ floor" value={plural(timeline.levelChanges, 'change', 'changes')} parts={changes.level} />
        <OpenFigure label="Camera" value={plural(timeline.reframings, 'move', 'moves')} parts={changes.camera} />
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
            label="Your own pace"
            value={`from ${plural(page.pace.explainAll.classes, 'class', 'classes')}`}
            parts={paceParts(page.pace)}
          />
        )}
      </Box>
    </>
  );
}
