import { doseKindNames, doseKinds, doseLimits, unevenSets, type Dose, type DoseNumber } from '@leiter/core';
import { plainToInstance, Transform } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  Max,
  Min,
  ValidateNested,
  registerDecorator,
} from 'class-validator';
import { applyDecorators } from './apply-decorators.js';
import { MayBeLeftOut } from './optional.js';
import { Within } from './within.js';

function NumberOfDose(name: DoseNumber): PropertyDecorator {
  const { isWhole, ...limits } = doseLimits[name];
  return applyDecorators(isWhole ? IsInt({ message: 'A whole number.' }) : IsNumber({}, { message: 'A number.' }), Within(limits));
}

/** A list with one number for each set. */
function UnevenSets(name: DoseNumber): PropertyDecorator {
  const { least, most, isWhole } = doseLimits[name];
  const each = { each: true, message: `Each between ${String(least)} and ${String(most)}.` };
  return applyDecorators(
    IsArray({ message: 'A list with a number for each set.' }),
    ArrayMinSize(unevenSets.least, { message: `At least ${String(unevenSets.least)} sets.` }),
    ArrayMaxSize(unevenSets.most, { message: `At most ${String(unevenSets.most)} sets.` }),
    isWhole ? IsInt({ each: true, message: 'Whole numbers.' }) : IsNumber({}, { each: true, message: 'Numbers.' }),
    Min(least, each),
    Max(most, each),
  );
}

type DoseClass = new () => object;

/** One class a kind of dose, with the rules of its numbers, from the table of core. */
const doseClasses: readonly { readonly name: Dose['kind']; readonly value: DoseClass }[] = doseKindNames.map((kind) => {
  const name = `${kind.charAt(0).toUpperCase()}${kind.slice(1)}Dose`;
  // the name of the class is the name of its schema
  // oxlint-disable-next-line typescript/no-extraneous-class -- its rules are put on it below
  const Made = { [name]: class {} }[name] as DoseClass;
  IsIn([kind])(Made.prototype as object, 'kind');
  const { numbers, optional = [], uneven, tempos, choices = {} } = doseKinds[kind];
  for (const number of numbers) NumberOfDose(number)(Made.prototype as object, number);
  for (const number of optional) applyDecorators(MayBeLeftOut(), NumberOfDose(number))(Made.prototype as object, number);
  if (uneven) applyDecorators(MayBeLeftOut(), UnevenSets(uneven))(Made.prototype as object, 'uneven');
  if (tempos) applyDecorators(MayBeLeftOut(), UnevenSets(tempos))(Made.prototype as object, 'tempos');
  for (const [field, words] of Object.entries(choices))
    IsIn(words, { message: `One of ${words.join(', ')}.` })(Made.prototype as object, field);
  return { name: kind, value: Made };
});

const doseWords = `A dose is ${doseKindNames.slice(0, -1).join(', ')} or ${doseKindNames.at(-1) ?? ''}.`;

/** Stands for a dose of no kind that there is: it is refused with a sentence, not with a crash. */
class DoseOfNoKind {
  @IsIn(doseKindNames, { message: doseWords })
  kind!: never;
}

/** The names of the classes of doses, as their schemas are called. */
export const doseClassNames: readonly string[] = doseClasses.map(({ value }) => value.name);

/** By this name the schema of a dose is known: one of the kinds, each with its numbers. */
export const doseRule = 'doseOfAnyKind';

/** A dose of one of the kinds, with the numbers of its kind. */
export function DoseOfAnyKind(): PropertyDecorator {
  const isDose = (value: unknown): boolean => value instanceof DoseOfNoKind || doseClasses.some((one) => value instanceof one.value);
  return applyDecorators(
    Transform(({ value }: { value: unknown }) => {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
      const kind = 'kind' in value ? value.kind : undefined;
      return plainToInstance(doseClasses.find(({ name }) => name === kind)?.value ?? DoseOfNoKind, value);
    }),
    ValidateNested({ message: 'How much is to be done?' }),
    IsObject({ message: 'This is missing.' }),
    (target, property) => {
      registerDecorator({
        name: doseRule,
        target: target.constructor,
        propertyName: String(property),
        options: { message: 'How much is to be done?' },
        validator: { validate: isDose },
      });
    },
  );
}
