import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import type { AddChildRequest, AdultPlace, ChildResponse, GroupResponse } from '@leiter/contract';
import { surfaces, type Surface } from '@leiter/core';
import { useController, type Control } from 'react-hook-form';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { onlyChanged } from '../../shared/only-changed';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';
import { surfaceWords } from '../../shared/words';
import { addChild, changeChild } from '../../queries/children.queries';
import { adultWords } from './household-text';

interface Values {
  readonly givenName: string;
  readonly familyInitial: string;
  readonly birthDate: string;
  readonly leadSide: 'left' | 'right';
  readonly groupIds: string[];
  readonly household: {
    readonly surface: Surface;
    readonly clearLengthM: number;
    readonly clearWidthM: number;
    readonly things: string;
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
  household: {
    surface: 'carpet',
    clearLengthM: 2.5,
    clearWidthM: 2,
    things: '',
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
    household: {
      surface: household.surface,
      clearLengthM: household.clearLengthM,
      clearWidthM: household.clearWidthM,
      adult: household.adult,
      things: household.things.join(', '),
      partner: household.partner ? 'yes' : 'no',
      quietHours: household.quietHours ?? { from: '', to: '' },
    },
  };
}

function requestOf({ givenName, familyInitial, birthDate, leadSide, groupIds, household }: Values): AddChildRequest {
  const { things, partner, quietHours, ...rest } = household;
  return {
    givenName,
    familyInitial,
    birthDate,
    leadSide,
    groupIds,
    household: {
      ...rest,
      things: things
        .split(',')
        .map((thing) => thing.trim())
        .filter((thing) => thing !== ''),
      partner: partner === 'yes',
      quietHours: quietHours.from === '' && quietHours.to === '' ? null : { ...quietHours },
    },
  };
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
  const { form, submit } = useServerForm<Values>(child ? valuesOf(child) : blank, async (values) => {
    const request = requestOf(values);
    if (!child) await addChild(request);
    else {
      const changed = onlyChanged(requestOf(valuesOf(child)), request);
      if (Object.keys(changed).length > 0)
        await changeChild(child.id, { ...changed, ...(changed.household ? { householdVersion: child.householdVersion } : {}) });
    }
    onClose();
  });
  const { control, formState } = form;
  return (
    <FormDialog
      title={child ? `Change ${child.givenName} ${child.familyInitial}` : 'Add a child'}
      action={child ? 'Save the changes' : 'Add the child'}
      width="sm"
      columns={2}
      state={formState}
      onSubmit={submit}
      onClose={onClose}
    >
      <FormField control={control} name="givenName" label="Given name" autoFocus />
      <FormField control={control} name="familyInitial" label="Family initial" />
      <FormField
        control={control}
        name="birthDate"
        label="Birth date"
        placeholder="2019-04-30"
        type="date"
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <FormField control={control} name="leadSide" label="Lead side" select>
        <MenuItem value="right">right</MenuItem>
        <MenuItem value="left">left</MenuItem>
      </FormField>
      <GroupChoice control={control} groups={groups} />
      <Typography variant="h3" sx={{ gridColumn: '1 / -1', mt: 1 }}>
        At home
      </Typography>
      <FormField control={control} name="household.surface" label="Floor" select>
        {surfaces.map((surface) => (
          <MenuItem key={surface} value={surface}>
            {surfaceWords[surface]}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="household.adult" label="Adult" select>
        {Object.entries(adultWords).map(([value, words]) => (
          <MenuItem key={value} value={value}>
            {words}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="household.clearLengthM" kind="number" label="Clear length, metres" />
      <FormField control={control} name="household.clearWidthM" kind="number" label="Clear width, metres" />
      <FormField control={control} name="household.things" label="Things at hand" helperText="with commas: chair, cushion, mat" />
      <FormField control={control} name="household.partner" label="Partner at home" select>
        <MenuItem value="yes">yes</MenuItem>
        <MenuItem value="no">no</MenuItem>
      </FormField>
      <FormField
        control={control}
        name="household.quietHours.from"
        label="Must be quiet from"
        placeholder="19:00"
        helperText="empty: never"
      />
      <FormField control={control} name="household.quietHours.to" label="Quiet until" placeholder="07:00" />
    </FormDialog>
  );
}

function GroupChoice({ control, groups }: { readonly control: Control<Values>; readonly groups: readonly GroupResponse[] }) {
  const { field, fieldState } = useController({ control, name: 'groupIds' });
  const value: readonly string[] = field.value;
  return (
    <Box component="fieldset" sx={{ gridColumn: '1 / -1', border: 0, p: 0, m: 0 }}>
      <Typography component="legend" variant="caption">
        Groups
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
