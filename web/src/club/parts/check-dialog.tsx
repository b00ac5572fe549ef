import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  everyAge,
  isByAge,
  isUsual,
  ruleRefusal,
  ruleValueWords,
  sameRuleValue,
  type AnyRule,
  type CheckTold,
  type ClubRules,
  type RuleUnit,
  type RuleValue,
} from '@leiter/core';
import { Controller, useFieldArray, useWatch, type Control } from 'react-hook-form';
import { setCheckNumber, turnCheck } from '../../queries/checks.queries';
import { ApiError } from '../../shared/api';
import { ChoiceBar } from '../../shared/choice-bar';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';
import { TextButton } from '../../shared/text-button';
import { offerUndo } from '../../shared/undo-bar';

/** A number as it is typed: text until it can be read. */
type Typed = number | string;

interface TypedNumber {
  readonly value: Typed;
  readonly steps: readonly { readonly upToYears: Typed; readonly limit: Typed }[];
}

interface Values {
  readonly looked: 'on' | 'off';
  readonly reason: string;
  readonly numbers: readonly TypedNumber[];
}

const unitWords: Readonly<Record<RuleUnit, string>> = {
  seconds: t`s`,
  minutes: t`min`,
  percent: t`%`,
  times: t`times`,
  items: t`items`,
  'effort-seconds': t`effort × s`,
};

const typedOf = (value: RuleValue): TypedNumber =>
  typeof value === 'number' ? { value, steps: [] } : { value: '', steps: value.map((step) => ({ ...step })) };

/** What the fields of a number say; what is no number becomes none that could be. */
const valueOf = (rule: AnyRule, { value, steps }: TypedNumber): RuleValue =>
  isByAge(rule) ? steps.map(({ upToYears, limit }) => ({ upToYears: numberOf(upToYears), limit: numberOf(limit) })) : numberOf(value);
const numberOf = (typed: Typed): number => (typeof typed === 'number' ? typed : Number.NaN);

/** Whether the club makes a check, and with which numbers. What is kept can be taken back. */
export function CheckDialog({
  check,
  rules,
  onClose,
}: {
  readonly check: CheckTold;
  readonly rules: ClubRules;
  readonly onClose: () => void;
}) {
  const { id, title, says, gravest, numbers } = check;
  const off = rules.off.find((one) => one.check === id);
  const before = numbers.map((rule) => rules.numbers[rule.id] ?? rule.usual);
  const { form, submit } = useServerForm<Values>(
    { looked: off ? 'off' : 'on', reason: off?.reason ?? '', numbers: before.map(typedOf) },
    async (values) => {
      const wanted = numbers.map((rule, index) => valueOf(rule, values.numbers[index] ?? { value: '', steps: [] }));
      refuse(numbers, wanted);
      const isOff = values.looked === 'off';
      if (isOff !== (off !== undefined) || (isOff && values.reason !== off?.reason))
        await turnCheck(id, { isOn: !isOff, reason: isOff ? values.reason.trim() : '' });
      const changed = numbers.flatMap((rule, index) => {
        const [to, from] = [wanted[index], before[index]];
        return to === undefined || from === undefined || sameRuleValue(to, from) ? [] : [{ rule, to, from }];
      });
      for (const { rule, to } of changed) await setCheckNumber(rule.id, isUsual(rule, to) ? undefined : to);
      onClose();
      offerUndo(t`${title} is changed`, async () => {
        await turnCheck(id, { isOn: !off, reason: off?.reason ?? '' });
        for (const { rule, from } of changed) await setCheckNumber(rule.id, isUsual(rule, from) ? undefined : from);
      });
    },
  );
  const { control, formState } = form;
  const looked = useWatch({ control, name: 'looked' });
  return (
    <FormDialog title={title} action={t`Keep`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <Typography variant="body2" sx={{ color: palette.soft }}>
        {says}
      </Typography>
      <Controller
        control={control}
        name="looked"
        render={({ field }) => (
          <ChoiceBar
            label={t`Looked for`}
            value={field.value}
            choices={[
              { value: 'on', words: t`Looked for` },
              { value: 'off', words: t`Not in this club` },
            ]}
            onChange={(value) => {
              if (value) field.onChange(value);
            }}
          />
        )}
      />
      {looked === 'off' ? (
        <FormField
          control={control}
          name="reason"
          label={t`Why not`}
          multiline
          minRows={2}
          helperText={
            gravest === 'stop' ? t`This check can stop a class: a reason is asked for, and kept.` : t`Kept with your name and the day.`
          }
        />
      ) : (
        numbers.map((rule, index) => <NumberFields key={rule.id} control={control} rule={rule} index={index} />)
      )}
    </FormDialog>
  );
}

/** Says at the fields what cannot be, before anything is stored: all of it is kept, or none. */
function refuse(numbers: readonly AnyRule[], wanted: readonly RuleValue[]): void {
  const errors = numbers.flatMap((rule, index) => {
    const value = wanted[index];
    const message = value === undefined ? null : ruleRefusal(rule, value);
    return message === null || value === undefined ? [] : [{ field: `numbers.${String(index)}.${wrongField(rule, value)}`, message }];
  });
  if (errors.length > 0) throw new ApiError(422, { type: 'about:blank', title: t`This does not fit`, status: 422, errors });
}

/** The field that is wrong: the first age that is not older than the one before, else the first limit that cannot be. */
function wrongField(rule: AnyRule, value: RuleValue): string {
  if (typeof value === 'number') return 'value';
  const age = value.findIndex(({ upToYears }, nth) => !Number.isInteger(upToYears) || upToYears <= (value[nth - 1]?.upToYears ?? 0));
  if (age >= 0 && age < value.length - 1) return `steps.${String(age)}.upToYears`;
  // the last row has no age of its own: the one before it is too old
  if (age >= 0) return `steps.${String(Math.max(0, age - 1))}.upToYears`;
  const limit = value.findIndex((step) => ruleRefusal(rule, [{ upToYears: everyAge, limit: step.limit }]) !== null);
  return `steps.${String(Math.max(0, limit))}.limit`;
}

interface NumberProps {
  readonly control: Control<Values>;
  readonly rule: AnyRule;
  readonly index: number;
}

function NumberFields(props: NumberProps) {
  const { control, rule, index } = props;
  const usual = ruleValueWords(rule.usual, rule.unit);
  return (
    <Box role="group" aria-label={rule.words} sx={{ display: 'grid', gap: 1 }}>
      <Box>
        <strong>{rule.words}</strong>
        <Box sx={{ fontSize: 13.5, color: palette.soft }}>
          <Trans>usual: {usual}</Trans>
        </Box>
      </Box>
      {isByAge(rule) ? (
        <StepFields {...props} />
      ) : (
        <FormField
          control={control}
          name={`numbers.${index}.value`}
          kind="number"
          unit={unitWords[rule.unit]}
          label={t`In this club`}
          sx={{ maxWidth: 180 }}
        />
      )}
    </Box>
  );
}

/** A row for each age: up to which, and what holds then. The last is for all who are older. */
function StepFields({ control, rule, index }: NumberProps) {
  const { fields, insert, remove } = useFieldArray({ control, name: `numbers.${index}.steps` });
  return (
    <>
      {fields.map((field, nth) => (
        <Box key={field.id} sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, alignItems: 'start' }}>
          {nth < fields.length - 1 ? (
            <FormField control={control} name={`numbers.${index}.steps.${nth}.upToYears`} kind="number" label={t`up to`} unit={t`years`} />
          ) : (
            <Box sx={{ alignSelf: 'end', pb: 1, pl: 1.25 }}>{fields.length > 1 ? t`older` : t`at every age`}</Box>
          )}
          <FormField
            control={control}
            name={`numbers.${index}.steps.${nth}.limit`}
            kind="number"
            label={t`at most`}
            unit={unitWords[rule.unit]}
          />
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 2 }}>
        {fields.length < 6 && (
          <TextButton
            label={t`One age more`}
            onClick={() => {
              insert(fields.length - 1, { upToYears: '', limit: '' });
            }}
          />
        )}
        {fields.length > 1 && (
          <TextButton
            label={t`One age less`}
            onClick={() => {
              remove(fields.length - 2);
            }}
          />
        )}
      </Box>
    </>
  );
}
