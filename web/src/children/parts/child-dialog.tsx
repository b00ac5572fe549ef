import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Autocomplete from '@mui/material/Autocomplete';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { AddChildRequest, AdultPlace, ChildResponse, GroupResponse } from '@leiter/contract';
import { surfaces, type Surface, type Side } from '@leiter/core';
import { useMemo } from 'react';
import { useController, type Control } from 'react-hook-form';
import { useMovements } from '../../queries/library.queries';
import { useSession } from '../../queries/session.queries';
import { useSyllabuses } from '../../queries/syllabus.queries';
import { ChoiceBar } from '../../shared/choice-bar';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { adultPlaceWords, surfaceWords } from '../../shared/household-words';
import { onlyChanged } from '../../shared/only-changed';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';
import { addChild, changeChild } from '../../queries/children.queries';

interface Values {
  readonly givenName: string;
  readonly familyInitial: string;
  readonly birthDate: string;
  readonly leadSide: Side;
  readonly groupIds: string[];
  readonly startingGradeId: string;
  /** Whether somebody told what it has at home. */
  readonly isHomeKnown: boolean;
  readonly household: {
    readonly surface: Surface;
    readonly clearLengthM: number;
    readonly clearWidthM: number;
    readonly things: string[];
    readonly adult: AdultPlace;
    readonly partner: 'yes' | 'no';
    readonly quietHours: { readonly from: string; readonly to: string };
  };
}

const blank: Values = {
  givenName: '',
  familyInitial: '',
  birthDate: '',
  leadSide: 'right',
  groupIds: [],
  startingGradeId: '',
  isHomeKnown: false,
  household: {
    surface: 'carpet',
    clearLengthM: 2.5,
    clearWidthM: 2,
    things: [],
    adult: 'in-the-next-room',
    partner: 'no',
    quietHours: { from: '', to: '' },
  },
};

function valuesOf(child: ChildResponse): Values {
  const { household } = child;
  return {
    ...child,
    groupIds: [...child.groupIds],
    startingGradeId: '',
    household: {
      surface: household.surface,
      clearLengthM: household.clearLengthM,
      clearWidthM: household.clearWidthM,
      adult: household.adult,
      things: [...household.things],
      partner: household.partner ? 'yes' : 'no',
      quietHours: household.quietHours ?? { from: '', to: '' },
    },
  };
}

function requestOf({ isHomeKnown, household, startingGradeId, ...values }: Values): AddChildRequest {
  const { partner, quietHours, ...rest } = household;
  const home = {
    ...rest,
    partner: partner === 'yes',
    quietHours: quietHours.from === '' && quietHours.to === '' ? null : { ...quietHours },
  };
  return { ...values, ...(isHomeKnown ? { household: home } : {}), ...(startingGradeId === '' ? {} : { startingGradeId }) };
}

/** Adds a child or changes one: who it is, its groups, and what it has at home. */
export function ChildDialog({
  child,
  groups,
  onClose,
}: {
  readonly child: ChildResponse | null;
  readonly groups: readonly GroupResponse[];
  readonly onClose: () => void;
}) {
  const ownId = useSession().data?.person.id ?? '';
  const { form, submit } = useServerForm<Values>(
    child ? valuesOf(child) : { ...blank, groupIds: likelyGroup(groups, ownId) },
    async (values) => {
      const request = requestOf(values);
      if (!child) await addChild(request);
      else {
        const changed = onlyChanged(requestOf(valuesOf(child)), request);
        if (Object.keys(changed).length > 0)
          await changeChild(child.id, { ...changed, ...(changed.household ? { householdVersion: child.householdVersion } : {}) });
      }
      onClose();
    },
  );
  const { control, formState, watch } = form;
  const isHomeKnown = watch('isHomeKnown');
  return (
    <FormDialog
      title={child ? t`Change ${child.givenName} ${child.familyInitial}` : t`Add a child`}
      action={child ? t`Save the changes` : t`Add the child`}
      width="sm"
      columns={2}
      state={formState}
      onSubmit={submit}
      onClose={onClose}
    >
      <FormField control={control} name="givenName" label={t`Given name`} autoFocus />
      <FormField control={control} name="familyInitial" label={t`Family initial`} />
      <FormField
        control={control}
        name="birthDate"
        label={t`Birth date`}
        placeholder="2019-04-30"
        type="date"
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <FormField control={control} name="leadSide" label={t`Lead side`} select>
        <MenuItem value="right">
          <Trans>right</Trans>
        </MenuItem>
        <MenuItem value="left">
          <Trans>left</Trans>
        </MenuItem>
      </FormField>
      <GroupChoice control={control} groups={groups} />
      {!child && <StartingGrade control={control} groups={groups.filter(({ id }) => watch('groupIds').includes(id))} />}
      <HomeKnown control={control} isFixed={child?.isHomeKnown ?? false} />
      {isHomeKnown && <Home control={control} />}
    </FormDialog>
  );
}

/** Whoever adds a child adds it most often to the one group there is, or to the one it teaches. */
function likelyGroup(groups: readonly GroupResponse[], ownId: string): string[] {
  const open = groups.filter(({ archived }) => !archived);
  const own = open.filter(({ instructorId }) => instructorId === ownId);
  const [only, another] = own.length > 0 ? own : open;
  return only && !another ? [only.id] : [];
}

/** What the child has earned before: it goes on from there. */
function StartingGrade({ control, groups }: { readonly control: Control<Values>; readonly groups: readonly GroupResponse[] }) {
  const ladders = useSyllabuses().data ?? [];
  const asked = ladders.filter(({ programme }) => groups.some((group) => group.programme === programme));
  if (asked.length === 0) return null;
  return (
    <FormField
      control={control}
      name="startingGradeId"
      label={t`Grade it has already`}
      select
      slotProps={{ select: { displayEmpty: true } }}
    >
      <MenuItem value="">
        <Trans>none yet</Trans>
      </MenuItem>
      {asked.flatMap(({ grades }) =>
        grades
          .filter(({ isPutAway }) => !isPutAway)
          .map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          )),
      )}
    </FormField>
  );
}

function HomeKnown({ control, isFixed }: { readonly control: Control<Values>; readonly isFixed: boolean }) {
  const { field } = useController({ control, name: 'isHomeKnown' });
  return (
    <Box sx={{ gridColumn: '1 / -1', mt: 1, borderTop: `1px solid ${palette.line}`, pt: 1.5 }}>
      <Typography variant="h3" sx={{ mb: 0.75 }}>
        <Trans>At home</Trans>
      </Typography>
      {!isFixed && (
        <>
          <ChoiceBar
            label={t`What is known of its home`}
            choices={[
              { value: 'no', words: t`not told yet` },
              { value: 'yes', words: t`told` },
            ]}
            value={field.value ? 'yes' : 'no'}
            onChange={(value) => {
              field.onChange(value === 'yes');
            }}
          />
          {!field.value && (
            <Typography variant="body2" sx={{ color: palette.soft, mt: 0.75 }}>
              <Trans>Until somebody tells, plans are reckoned carefully: tiles, 2.0 × 1.5 m, no adult at hand.</Trans>
            </Typography>
          )}
        </>
      )}
    </Box>
  );
}

function Home({ control }: { readonly control: Control<Values> }) {
  return (
    <>
      <FormField control={control} name="household.surface" label={t`Floor`} select>
        {surfaces.map((surface) => (
          <MenuItem key={surface} value={surface}>
            {surfaceWords[surface]}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="household.adult" label={t`Adult`} select>
        {Object.entries(adultPlaceWords).map(([value, words]) => (
          <MenuItem key={value} value={value}>
            {words}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="household.clearLengthM" kind="number" label={t`Clear length`} unit="m" />
      <FormField control={control} name="household.clearWidthM" kind="number" label={t`Clear width`} unit="m" />
      <Things control={control} />
      <FormField control={control} name="household.partner" label={t`Partner at home`} select>
        <MenuItem value="yes">
          <Trans>yes</Trans>
        </MenuItem>
        <MenuItem value="no">
          <Trans>no</Trans>
        </MenuItem>
      </FormField>
      <FormField
        control={control}
        name="household.quietHours.from"
        label={t`Must be quiet from`}
        placeholder="19:00"
        helperText={t`empty: never`}
      />
      <FormField control={control} name="household.quietHours.to" label={t`Quiet until`} placeholder="07:00" />
    </>
  );
}

/** Things at hand: those that movements ask for are offered, so that they are spelt alike; others are written. */
function Things({ control }: { readonly control: Control<Values> }) {
  const { field, fieldState } = useController({ control, name: 'household.things' });
  const movements = useMovements().data;
  const known = useMemo(
    () =>
      [
        ...new Set(
          (movements ?? []).flatMap(({ needs, equipmentStandIns }) => [...needs.equipment, ...Object.values(equipmentStandIns).flat()]),
        ),
      ].toSorted(),
    [movements],
  );
  const value: readonly string[] = field.value;
  return (
    <Autocomplete
      multiple
      freeSolo
      autoSelect
      size="small"
      sx={{ gridColumn: '1 / -1' }}
      options={known}
      value={[...value]}
      onChange={(_event, things) => {
        field.onChange(things.map((thing) => thing.trim().toLowerCase()).filter((thing) => thing !== ''));
      }}
      renderInput={(params) => (
        <TextField
          {...params}
          label={t`Things at hand`}
          placeholder={value.length === 0 ? t`chair, cushion, mat` : ''}
          error={fieldState.error !== undefined}
          helperText={fieldState.error?.message}
        />
      )}
    />
  );
}

function GroupChoice({ control, groups }: { readonly control: Control<Values>; readonly groups: readonly GroupResponse[] }) {
  const { field, fieldState } = useController({ control, name: 'groupIds' });
  const value: readonly string[] = field.value;
  return (
    <Box component="fieldset" sx={{ gridColumn: '1 / -1', border: 0, p: 0, m: 0 }}>
      <Typography component="legend" variant="caption">
        <Trans>Groups</Trans>
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
        {groups
          .filter(({ archived }) => !archived)
          .map(({ id, name }) => (
            <label key={id} style={{ cursor: 'pointer' }}>
              <input
                type="checkbox"
                checked={value.includes(id)}
                onChange={() => {
                  field.onChange(value.includes(id) ? value.filter((one) => one !== id) : [...value, id]);
                }}
                style={{ marginRight: 8 }}
              />
              {name}
            </label>
          ))}
      </Box>
      {fieldState.error?.message && <Box sx={{ color: palette.stop, fontSize: 13 }}>{fieldState.error.message}</Box>}
    </Box>
  );
}
