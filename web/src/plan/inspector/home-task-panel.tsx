import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ClassPageResponse } from '@leiter/contract';
import {
  ageBandOf,
  clockText,
  groupBy,
  homeTaskBar,
  homeTaskBarWords,
  homeTaskSeconds,
  itemOf,
  meanAge,
  mostHomeTasks,
  proposeHomeTask,
  readDose,
  sidesText,
  usualHomeTaskSeconds,
  writeDose,
  type ClassPlan,
  type EvaluationContext,
  type HomeTask,
  type HomeTaskItem,
  type Library,
  type Movement,
  type PlanEdit,
} from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { useIsSettled } from '../../shared/use-is-settled';
import { useTyped } from '../../shared/use-typed';
import { nameable } from '../editing/written-item';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly library: Library;
  readonly context: EvaluationContext;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

const noTask: HomeTask = { tasks: [], note: '' };

/** What the children do at home until the next class: proposed from what the class is about, with who cannot do it and how long it takes. */
export function HomeTaskPanel({ page, plan, library, context, onEdit }: Props) {
  const homeTask = plan.homeTask ?? noTask;
  const band = ageBandOf(meanAge(context.agesYears));
  const names = new Map(page.children.map(({ id, name }) => [id, name]));
  const set = (next: Partial<HomeTask>): void => {
    onEdit([{ kind: 'set-home-task', homeTask: { ...homeTask, ...next } }]);
  };
  const seconds = homeTaskSeconds(homeTask);
  const usual = usualHomeTaskSeconds(band);
  return (
    <Box component="section" aria-label={t`Home task`} sx={{ mb: 2 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Home task</Trans>
      </Typography>
      {homeTask.tasks.length > 0 && (
        <Typography variant="body2" sx={{ color: seconds > usual ? palette.caution : palette.soft }}>
          <Trans>
            {clockText(seconds)} a day; at this age up to {usual / 60} min are usual
          </Trans>
        </Typography>
      )}
      <Box component="ul" aria-label={t`At home`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {homeTask.tasks.map((task, index) => (
          <Task
            key={`${task.movement} ${String(index)}`}
            task={task}
            movement={library.get(task.movement)}
            context={context}
            names={names}
            onChange={(next) => {
              set({ tasks: homeTask.tasks.flatMap((one, nth) => (nth === index ? (next ?? []) : one)) });
            }}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, my: 1, alignItems: 'end' }}>
        <Button
          variant="outlined"
          size="small"
          sx={{ flexShrink: 0 }}
          onClick={() => {
            onEdit([{ kind: 'set-home-task', homeTask: proposeHomeTask(plan, library, band, context) }]);
          }}
        >
          {homeTask.tasks.length === 0 ? t`Propose one` : t`Propose another`}
        </Button>
        {homeTask.tasks.length < mostHomeTasks && (
          <AddTask
            movements={nameable(library, page.class.programme)}
            onAdd={(movement) => {
              const { dose, sides } = itemOf(movement, band);
              set({ tasks: [...homeTask.tasks, { movement: movement.slug, dose, sides }] });
            }}
          />
        )}
      </Box>
      <LineField
        label={t`Told with it`}
        placeholder={t`Film one and send it`}
        stored={homeTask.note}
        onChange={(note) => {
          set({ note });
        }}
      />
    </Box>
  );
}

function Task({
  task,
  movement,
  context,
  names,
  onChange,
}: {
  readonly task: HomeTaskItem;
  readonly movement: Movement | undefined;
  readonly context: EvaluationContext;
  readonly names: ReadonlyMap<string, string>;
  readonly onChange: (next: HomeTaskItem | null) => void;
}) {
  const written = writeDose(task.dose);
  const [typed, setTyped] = useTyped(written);
  const dose = readDose(typed, task.dose);
  const barred = movement
    ? context.children.flatMap((child) => {
        const bar = homeTaskBar(movement, child, context.ladder);
        return bar ? [{ name: names.get(child.id) ?? t`a child`, why: homeTaskBarWords(bar) }] : [];
      })
    : [];
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, fontSize: 14 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <strong>{movement?.name ?? task.movement}</strong>
          {sidesText(task.sides) && <span style={{ color: palette.soft }}> {sidesText(task.sides)}</span>}
        </Box>
        <TextField
          value={typed}
          error={!dose}
          sx={{ width: 84 }}
          onChange={(event) => {
            setTyped(event.target.value);
          }}
          onBlur={() => {
            if (dose && typed !== written) onChange({ ...task, dose });
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && dose && typed !== written) onChange({ ...task, dose });
          }}
          slotProps={{ htmlInput: { 'aria-label': t`How much of ${movement?.name ?? task.movement}` } }}
        />
        <Button
          size="small"
          aria-label={t`Leave out ${movement?.name ?? task.movement}`}
          sx={{ minWidth: 0, px: 0.75 }}
          onClick={() => {
            onChange(null);
          }}
        >
          ×
        </Button>
      </Box>
      {[...groupBy(barred, ({ why }) => why)].map(([why, own]) => (
        <Box key={why} sx={{ color: palette.caution, fontSize: 13 }}>
          <Trans>
            Not for {own.map(({ name }) => name).join(', ')}: {why}
          </Trans>
        </Box>
      ))}
    </Box>
  );
}

function AddTask({ movements, onAdd }: { readonly movements: readonly Movement[]; readonly onAdd: (movement: Movement) => void }) {
  const [typed, setTyped] = useState('');
  const isSettled = useIsSettled();
  if (!isSettled) return null;
  return (
    <Autocomplete
      sx={{ flex: 1 }}
      size="small"
      options={movements.filter(({ homeTask }) => homeTask !== 'no')}
      value={null}
      inputValue={typed}
      blurOnSelect
      getOptionLabel={({ name }) => name}
      getOptionKey={({ slug }) => slug}
      onInputChange={(_event, text, reason) => {
        setTyped(reason === 'input' ? text : '');
      }}
      onChange={(_event, movement) => {
        if (movement) onAdd(movement);
        setTyped('');
      }}
      renderInput={(params) => <TextField {...params} label={t`Add to it`} />}
    />
  );
}

/** The story or theme of the class, for the children. */
export function StoryField({ story, onEdit }: { readonly story: string; readonly onEdit: Props['onEdit'] }) {
  return (
    <LineField
      label={t`Story or theme`}
      placeholder={t`a day at the harbour`}
      stored={story}
      onChange={(next) => {
        onEdit([{ kind: 'set-story', story: next }]);
      }}
    />
  );
}

/** A line that is kept when one leaves it or presses Enter. */
function LineField({
  label,
  placeholder,
  stored,
  onChange,
}: {
  readonly label: string;
  readonly placeholder: string;
  readonly stored: string;
  readonly onChange: (line: string) => void;
}) {
  const [typed, setTyped] = useTyped(stored);
  const leave = (): void => {
    if (typed.trim() !== stored) onChange(typed.trim());
  };
  return (
    <TextField
      fullWidth
      label={label}
      value={typed}
      placeholder={placeholder}
      sx={{ mb: 1.5 }}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') leave();
      }}
      slotProps={{ htmlInput: { maxLength: 300 }, inputLabel: { shrink: true } }}
    />
  );
}
