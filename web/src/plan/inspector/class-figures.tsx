import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { clockText, sectionSeconds, type ClassPlan, type Evaluation, type Library } from '@leiter/core';
import { FigureRow } from '../../shared/figure-row';
import { OpenFigure } from '../../shared/open-figure';
import { kindWords, plural, sectionWords } from '../../shared/words';
import { changeParts, movingParts, sectionParts, totalParts } from '../editing/class-parts';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
}

/** The class in figures, each of which opens to what it is made of. */
export function ClassFigures({ page, plan, evaluation, library }: Props) {
  const { timeline } = evaluation;
  const changes = changeParts(timeline, page.class.startsAt);
  return (
    <>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        The class in figures
      </Typography>
      <Box component="dl" sx={{ m: 0, mb: 2 }}>
        <FigureRow label="Focus" value={plan.focus.map((slug) => library.get(slug)?.name ?? slug).join(', ') || 'none yet'} />
        <OpenFigure label="All of it" value={clockText(timeline.totalSeconds)} parts={totalParts(timeline)} />
        <OpenFigure
          label="Children move"
          value={`${String(Math.round(timeline.movingShare * 100))} % of the time`}
          parts={movingParts(timeline)}
        />
        <OpenFigure label="Standing ↔ floor" value={plural(timeline.levelChanges, 'change', 'changes')} parts={changes.level} />
        <OpenFigure label="Camera" value={plural(timeline.reframings, 'change', 'changes')} parts={changes.framing} />
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
        {page.paces.length > 0 && (
          <OpenFigure
            label="Your own pace"
            value={`from ${plural(Math.max(...page.paces.map(({ classes }) => classes)), 'class', 'classes')}`}
            parts={page.paces.map(({ kind, factor, items, classes }) => [
              `${kindWords[kind]}: ${plural(items, 'item', 'items')} in ${plural(classes, 'class', 'classes')}`,
              `×\u00a0${factor.toFixed(2)}`,
            ])}
          />
        )}
      </Box>
    </>
  );
}
