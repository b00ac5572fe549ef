import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  clockText,
  sectionKinds,
  sectionSeconds,
  usualWay,
  ways,
  type ClassPlan,
  type MusicGap,
  type PlanEdit,
  type Section,
  type TeachingStyle,
  type Timeline,
} from '@leiter/core';
import { palette } from '../../shared/palette';
import { sectionWords, wayWords } from '../../shared/words';
import { MusicFields } from './music-fields';

interface Props {
  readonly plan: ClassPlan;
  readonly section: Section;
  readonly timeline: Timeline;
  /** Of the class. */
  readonly style: TeachingStyle;
  readonly gap: MusicGap | undefined;
  readonly onFitMusic: () => void;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** One section: its music, its place, and how another one is put after it. */
export function SectionInspector({ plan, section, timeline, style, gap, onFitMusic, onEdit }: Props) {
  const seconds = sectionSeconds(plan, timeline).find((one) => one.section.id === section.id)?.seconds ?? 0;
  const index = plan.sections.indexOf(section);
  const name = sectionWords[section.kind];
  return (
    <Box component="section" aria-label={t`Section ${name}`} sx={{ mb: 2.5 }}>
      <Typography variant="h2">{name}</Typography>
      <Typography variant="body2" sx={{ color: palette.soft, mb: 1.25 }}>
        <Trans>
          <Plural value={section.items.length} one="# item" other="# items" />, {clockText(seconds)}. What you add now goes to its end.
        </Trans>
      </Typography>
      <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', mb: 1.25 }}>
        {(['up', 'down'] as const).map((direction) => (
          <Button
            key={direction}
            variant="outlined"
            size="small"
            disabled={direction === 'up' ? index === 0 : index === plan.sections.length - 1}
            onClick={() => {
              onEdit([{ kind: 'move-section', section: section.id, direction }]);
            }}
          >
            {direction === 'up' ? t`Move up` : t`Move down`}
          </Button>
        ))}
        <Button
          variant="outlined"
          size="small"
          onClick={() => {
            onEdit([{ kind: 'remove-section', section: section.id }]);
          }}
        >
          {section.items.length === 0 ? t`Remove` : t`Remove with ${plural(section.items.length, { one: '# item', other: '# items' })}`}
        </Button>
      </Box>
      <TextField
        select
        fullWidth
        label={t`How it is taught`}
        value={section.way ?? 'as-usual'}
        onChange={(event) => {
          const way = ways.find((one) => one === event.target.value) ?? 'as-usual';
          onEdit([{ kind: 'set-section-way', section: section.id, way }]);
        }}
        sx={{ mb: 1.25 }}
      >
        <MenuItem value="as-usual">
          <Trans>as usual: {usualWay(section.kind, style)}</Trans>
        </MenuItem>
        {ways.map((one) => (
          <MenuItem key={one} value={one}>
            {one} – {wayWords[one]}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        fullWidth
        label={t`Put a section after it`}
        value=""
        onChange={(event) => {
          const kind = sectionKinds.find((one) => one === event.target.value);
          if (kind) onEdit([{ kind: 'add-section', section: kind, after: section.id }]);
        }}
      >
        {sectionKinds.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {sectionWords[kind]}
          </MenuItem>
        ))}
      </TextField>
      <MusicFields
        key={section.id}
        music={section.music}
        gap={gap}
        startSeconds={seconds}
        onChange={(music) => {
          onEdit([{ kind: 'set-section-music', section: section.id, music }]);
        }}
        onFit={onFitMusic}
      />
    </Box>
  );
}
