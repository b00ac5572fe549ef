import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import styled from '@emotion/styled';
import { clockText, musicGaps, musicSettings, timeOfDay, type ClassPlan, type MusicGap, type Timeline } from '@leiter/core';
import { palette } from '../../shared/palette';
import { sectionWords } from '../../shared/words';
import { answering } from '../editing/answers';
import { rulerMarks, type Ruler } from '../editing/ruler';

// drawn anew at every key: styles that do not change are made once, places are attributes
const Marks = styled.div({ gridRow: 2, gridColumn: 1, position: 'relative', fontSize: 13, color: palette.ink });
const Mark = styled.div({
  position: 'absolute',
  right: 0,
  display: 'flex',
  alignItems: 'center',
  gap: 5,
  '&::after': { content: '""', width: 8, borderTop: `1px solid ${palette.soft}` },
});
const Labels = styled.div({ gridRow: 2, gridColumn: 2, position: 'relative' });
const Label = styled.button({
  position: 'absolute',
  left: 0,
  right: 0,
  border: 0,
  borderTop: `1px solid ${palette.line}`,
  background: 'none',
  font: 'inherit',
  fontSize: 12.5,
  textAlign: 'left',
  color: palette.soft,
  cursor: 'pointer',
  padding: '3px 4px',
  display: 'flex',
  alignItems: 'flex-start',
  flexDirection: 'column',
  overflow: 'hidden',
  lineHeight: 1.25,
  '&[aria-pressed=true]': { background: palette.shade, color: palette.primary, fontWeight: 700 },
});
const Music = styled.span({
  fontSize: 11,
  fontWeight: 400,
  color: palette.soft,
  '&[data-apart]': { color: palette.caution },
});

interface MarksProps {
  readonly ruler: Ruler;
  readonly startsAt: string;
  readonly totalSeconds: number;
}

/** The times of the clock, every five minutes, where the ruler has them. */
export function ClockMarks({ ruler, startsAt, totalSeconds }: MarksProps) {
  return (
    <Marks aria-hidden="true">
      {rulerMarks(startsAt, totalSeconds).map((second) => (
        <Mark key={second} style={{ top: ruler.yOf(second) - 9 }}>
          {timeOfDay(startsAt, second)}
        </Mark>
      ))}
    </Marks>
  );
}

interface LabelsProps {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly ruler: Ruler;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}

/** The names of the sections beside their items, each to be chosen; below a name whether it ends with its music. */
export function SectionLabels({ plan, timeline, ruler, chosen, onChoose }: LabelsProps) {
  const gaps = musicGaps(plan, timeline);
  return (
    <Labels>
      {plan.sections.map(({ id, kind }, index) => (
        <Label
          key={id}
          type="button"
          aria-pressed={id === chosen}
          title={t`Put what is added at the end of “${sectionWords[kind]}”`}
          onClick={() => {
            onChoose(id);
          }}
          style={{ top: ruler.sections[index]?.top ?? 0, height: ruler.sections[index]?.height ?? 0 }}
        >
          <span {...answering('section', id)}>{sectionWords[kind]}</span>{' '}
          <MusicLabel gap={gaps.find(({ target }) => 'section' in target && target.section === id)} />
        </Label>
      ))}
    </Labels>
  );
}

function MusicLabel({ gap }: { readonly gap: MusicGap | undefined }) {
  if (!gap) return null;
  const isTogether = Math.abs(gap.gapSeconds) <= musicSettings.togetherSeconds;
  const apart = `, ${clockText(Math.abs(gap.gapSeconds))} ${gap.gapSeconds > 0 ? 'left' : 'short'}`;
  return (
    <Music data-apart={isTogether ? undefined : ''}>
      <Trans>
        {clockText(gap.track.seconds)} music{isTogether ? '' : apart}
      </Trans>
    </Music>
  );
}
