import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import { clockText, sectionSeconds, type ClassPlan, type Evaluation, type Library } from '@leiter/core';
import { FigureRow } from '../../shared/figure-row';
import { palette } from '../../shared/palette';
import { plural, sectionWords } from '../../shared/words';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly onFit: () => void;
  readonly onCalm: () => void;
  readonly onKeep: () => void;
  /** What the last “Calmer order” did; null before. */
  readonly calmed: string | null;
  readonly onWho: () => void;
}

/** The class as a whole: its focus, its figures of time, who is coming. */
export function ClassInspector({ page, plan, evaluation, library, onFit, onCalm, onKeep, calmed, onWho }: Props) {
  const { timeline } = evaluation;
  const away = page.children.filter(({ attendance }) => attendance === 'absent');
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mb: 2 }}>
        <Button variant="outlined" size="small" onClick={onFit}>
          Fit to the clock
        </Button>
        <Button variant="outlined" size="small" onClick={onWho}>
          Who does what
        </Button>
        <Button variant="outlined" size="small" onClick={onCalm}>
          Calmer order
        </Button>
        <Button variant="outlined" size="small" onClick={onKeep}>
          Keep as a template
        </Button>
      </Box>
      {calmed !== null && (
        <Typography variant="body2" role="status" sx={{ mb: 1.5 }}>
          {calmed}
        </Typography>
      )}
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        The class in figures
      </Typography>
      <Box component="dl" sx={{ m: 0, mb: 2 }}>
        <FigureRow label="Focus" value={plan.focus.map((slug) => library.get(slug)?.name ?? slug).join(', ') || 'none yet'} />
        <FigureRow label="Children move" value={`${String(Math.round(timeline.movingShare * 100))} % of the time`} />
        <FigureRow label="Standing ↔ floor" value={plural(timeline.levelChanges, 'change', 'changes')} />
        <FigureRow label="Camera" value={plural(timeline.reframings, 'change', 'changes')} />
        {sectionSeconds(plan, timeline)
          .filter(({ seconds }) => seconds > 0)
          .map(({ section, seconds }) => (
            <FigureRow key={section.id} label={sectionWords[section.kind]} value={clockText(seconds)} />
          ))}
      </Box>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {plural(page.children.length - away.length, 'child', 'children')} expected
      </Typography>
      <Typography variant="body2" sx={{ color: palette.soft }}>
        {page.children
          .filter(({ attendance }) => attendance !== 'absent')
          .map(({ name, ageYears }) => `${name} ${String(ageYears)}`)
          .join(', ')}
        {away.length > 0 && ` · away: ${away.map(({ name }) => name).join(', ')}`}
      </Typography>
    </>
  );
}
