import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import type { MovementResponse } from '@leiter/contract';
import { ageBands, effortWord, segmentStages, slugOf, tierNames, type Effort } from '@leiter/core';
import type { Control, Path } from 'react-hook-form';
import { ApiError } from '../../shared/api';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { useServerForm } from '../../shared/server-form';
import { useSyllabuses } from '../../queries/syllabus.queries';
import { entryOf, saveMovement, useLibrary } from '../../queries/library.queries';
import { FactsFields } from './facts-fields';
import { blankFacts } from './movement-facts';
import { doseField, formOf, movementFrom, withSegments, type MovementForm } from './movement-form';

const efforts: readonly Effort[] = [0, 1, 2, 3, 4];

/** Changes all that an entry has, or makes a new one from it or from nothing; what a child's safety rests on is asked, never assumed. */
export function MovementDialog({
  movement,
  isCopy,
  isNew = false,
  onClose,
  onSaved,
}: {
  readonly movement: MovementResponse;
  readonly isCopy: boolean;
  /** From nothing: `movement` has no facts yet. */
  readonly isNew?: boolean;
  readonly onClose: () => void;
  readonly onSaved: (slug: string) => void;
}) {
  const begun = formOf(movement);
  const { form, submit } = useServerForm<MovementForm>(
    isNew
      ? { ...begun, leastAge: '' as unknown as number, facts: blankFacts(movement.programmes[0] ?? '') }
      : isCopy
        ? { ...begun, name: t`${begun.name}, our own` }
        : begun,
    async (values) => {
      const before = entryOf(movement);
      // what leads here and where it leads stays with the one it is copied from
      const base = isCopy || isNew ? { ...before, slug: slugOf(values.name), ...(isCopy ? { leadsTo: [] } : {}) } : before;
      const { movement: edited, faults } = movementFrom(base, values);
      // refused here as the server would: each fault stands at its field
      if (faults.length > 0) throw new ApiError(422, { type: 'about:blank', title: 'This does not fit', status: 422, errors: faults });
      try {
        await saveMovement(edited);
      } catch (error) {
        throw asFormError(error, edited.slug);
      }
      onSaved(edited.slug);
    },
  );
  const library = useLibrary();
  const syllabuses = useSyllabuses().data ?? [];
  const { control, formState } = form;
  return (
    <FormDialog
      title={isNew ? t`A new movement` : isCopy ? t`A new movement from ${movement.name}` : t`Change ${movement.name}`}
      action={isCopy || isNew ? t`Add the movement` : t`Save the changes`}
      width="md"
      columns={2}
      state={formState}
      onSubmit={submit}
      onClose={onClose}
    >
      <FormField control={control} name="name" label={t`Name`} autoFocus />
      <FormField control={control} name="picture" label={t`A picture in words`} />
      <Box sx={{ gridColumn: '1 / -1' }}>
        <FormField control={control} name="plainMeaning" label={t`What it is, for a child`} />
      </Box>
      <FormField control={control} name="effort" kind="number" label={t`Effort`} select>
        {efforts.map((effort) => (
          <MenuItem key={effort} value={effort}>
            {effortWord(effort)}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="leastAge" kind="number" label={t`From how many years`} />
      <Box sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1.75 }}>
        {ageBands.map((band) => (
          <FormField
            key={band}
            control={control}
            name={`dose.${doseField(band)}` as Path<MovementForm>}
            label={t`Dose, ${band} years`}
            helperText={t`3x8, 2x20s, 4 min, 8x8 @ 96`}
          />
        ))}
        {tierNames.map((name) => (
          <FormField key={name} control={control} name={`tiers.${name}`} label={t`Version: ${name}`} multiline minRows={2} />
        ))}
      </Box>
      <Lines control={control} name="cues" label={t`Cues, one a line`} />
      <Lines control={control} name="cautions" label={t`Cautions, one a line`} />
      <Box>
        <Lines
          control={control}
          name="stages"
          label={t`Stages, easiest first`}
          hint={t`name: what one must see. Marks stay with the place of a stage in this list.`}
        />
        {/* one that has as many stages as parts names them its own way: they would move the marks that children have */}
        {segmentStages(movement).length > movement.stages.length && (
          <Button
            size="small"
            onClick={() => {
              form.setValue('stages', withSegments(form.getValues('stages'), movement), { shouldDirty: true });
            }}
          >
            <Trans>Begin with the parts of its steps</Trans>
          </Button>
        )}
      </Box>
      <Lines control={control} name="faults" label={t`Faults`} hint={t`name > what mends it; ! before it: stop and mend`} />
      <Box sx={{ gridColumn: '1 / -1' }}>
        <FormField control={control} name="support" label={t`How an adult helps`} multiline minRows={2} />
      </Box>
      <FactsFields
        control={control}
        library={library}
        programmes={syllabuses.map(({ programme, programmeName }) => ({ slug: programme, name: programmeName }))}
      />
    </FormDialog>
  );
}

function Lines({
  control,
  name,
  label,
  hint,
}: {
  readonly control: Control<MovementForm>;
  readonly name: 'cues' | 'cautions' | 'stages' | 'faults';
  readonly label: string;
  readonly hint?: string;
}) {
  return <FormField control={control} name={name} label={label} multiline minRows={3} maxRows={8} helperText={hint} />;
}

/** The server names entry and field; the form knows only its field. */
function asFormError(error: unknown, slug: string): unknown {
  if (!(error instanceof ApiError) || !error.problem?.errors) return error;
  const errors = error.problem.errors.map(({ field, message }) => ({ field: field.replace(`${slug}.`, ''), message }));
  return new ApiError(error.status, { ...error.problem, errors });
}
