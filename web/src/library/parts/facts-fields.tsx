import { Trans } from '@lingui/react/macro';
import { t } from '@lingui/core/macro';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  adultNeeds,
  facings,
  framings,
  littleRoomWays,
  movementKinds,
  postures,
  sectionKinds,
  type Facing,
  type Library,
} from '@leiter/core';
import { useMemo, type ReactNode } from 'react';
import { useController, useWatch, type Control } from 'react-hook-form';
import { Figure } from '../../shared/figure';
import { FormField } from '../../shared/form-field';
import { palette } from '../../shared/palette';
import { surfaceWords } from '../../shared/household-words';
import { adultWords, kindWords, sectionWords } from '../../shared/words';
import { FigureSteps } from './figure-steps';
import { factChoices, loadChoices, loadOf, loadWords, type FactsForm } from './movement-facts';
import type { MovementForm } from './movement-form';

interface Props {
  readonly control: Control<MovementForm>;
  readonly library: Library;
  readonly programmes: readonly { readonly slug: string; readonly name: string }[];
}

const sidesWords = {
  none: t`no sides`,
  each: t`one side, then the other`,
  alternating: t`left and right in turn`,
  lead: t`the side one prefers`,
} as const;
const facingWords: Readonly<Record<Facing, string>> = {
  front: t`the front`,
  quarter: t`between front and side`,
  side: t`the side`,
  back: t`the back`,
  above: t`above`,
};
const quietWords = { quiet: t`quiet`, 'some-noise': t`some noise`, loud: t`loud: jumps and stamps` } as const;
const homeWords = { yes: t`yes`, 'with-adult': t`with an adult`, no: t`no` } as const;
const framingWords = { standing: t`standing`, floor: t`on the floor`, jump: t`jumping: room above`, travel: t`travelling` } as const;
const littleWords = { 'on-the-spot': t`on the spot`, 'there-and-back': t`there and back` } as const;
const plain = (word: string): string => word.replaceAll('-', ' ');

/** All that is chosen of a movement: where in a class, what it asks of the body, what it needs, what leads to it, how it looks. */
export function FactsFields({ control, library, programmes }: Props) {
  const figure = useWatch({ control, name: 'facts.figure' });
  const facing = useWatch({ control, name: 'facts.facing' });
  const surface = useWatch({ control, name: 'facts.surface' });
  const littleRoom = useWatch({ control, name: 'facts.littleRoom' });
  const slugs = useMemo(() => [...library.values()].toSorted((a, b) => a.name.localeCompare(b.name)).map(({ slug }) => slug), [library]);
  const things = useMemo(() => [...new Set([...library.values()].flatMap(({ needs }) => needs.equipment))].toSorted(), [library]);
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  const programmeName = (slug: string): string => programmes.find((one) => one.slug === slug)?.name ?? slug;
  return (
    <>
      <Heading>
        <Trans>In a class</Trans>
      </Heading>
      <One control={control} name="kind" label={t`What kind it is`} options={movementKinds} words={(kind) => kindWords[kind]} />
      <One
        control={control}
        name="sides"
        label={t`Sides`}
        options={Object.keys(sidesWords) as (keyof typeof sidesWords)[]}
        words={(one) => sidesWords[one]}
      />
      <Several control={control} name="sections" label={t`Parts of a class`} options={sectionKinds} words={(one) => sectionWords[one]} />
      <Several
        control={control}
        name="programmes"
        label={t`Programmes (none: all)`}
        options={programmes.map(({ slug }) => slug)}
        words={programmeName}
      />
      <One control={control} name="level" label={t`Where`} options={factChoices.levels} words={plain} />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.75 }}>
        <One control={control} name="postureFrom" label={t`Begins`} options={postures} words={plain} />
        <One control={control} name="postureTo" label={t`Ends`} options={postures} words={plain} />
      </Box>

      <Heading>
        <Trans>What it asks of the body</Trans>
      </Heading>
      <Several
        control={control}
        name="loads"
        label={t`Loads`}
        options={loadChoices}
        words={loadWords}
        only={(choice) => loadOf(choice)?.region ?? choice}
      />
      <Several control={control} name="hazards" label={t`What can go wrong`} options={factChoices.hazards} words={factChoices.hazardWord} />
      <Several control={control} name="prepares" label={t`Readies`} options={factChoices.regions} words={factChoices.regionWord} />
      <Several control={control} name="lengthens" label={t`Stretches`} options={factChoices.regions} words={factChoices.regionWord} />
      <Several control={control} name="undoneBy" label={t`Wants one of these afterwards`} options={slugs} words={nameOf} />

      <Heading>
        <Trans>What it needs</Trans>
      </Heading>
      <One
        control={control}
        name="surface"
        label={t`Floor`}
        options={['any-dry', 'some'] as const}
        words={(one) => (one === 'any-dry' ? t`any dry floor` : t`only some floors`)}
        isAsked
      />
      {surface === 'some' ? (
        <Several
          control={control}
          name="surfaces"
          label={t`Which floors`}
          options={factChoices.surfaces}
          words={(one) => surfaceWords[one]}
        />
      ) : (
        <span />
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1.75 }}>
        <FormField control={control} name="facts.lengthM" kind="number" label={t`Length`} unit="m" />
        <FormField control={control} name="facts.widthM" kind="number" label={t`Width`} unit="m" />
        <FormField control={control} name="facts.headroomM" kind="number" label={t`Height`} unit="m" />
      </Box>
      <One
        control={control}
        name="littleRoom"
        label={t`In less room`}
        options={littleRoomWays}
        words={(one) => littleWords[one]}
        empty={t`it cannot be done`}
      />
      {littleRoom !== '' && (
        <>
          <FormField control={control} name="facts.littleLengthM" kind="number" label={t`Length then`} unit="m" />
          <FormField control={control} name="facts.littleWidthM" kind="number" label={t`Width then`} unit="m" />
        </>
      )}
      <One control={control} name="adult" label={t`Who has to be there`} options={adultNeeds} words={(one) => adultWords[one]} isAsked />
      <One
        control={control}
        name="homeTask"
        label={t`Alone at home`}
        options={['yes', 'with-adult', 'no'] as const}
        words={(one) => homeWords[one]}
        isAsked
      />
      <One
        control={control}
        name="quiet"
        label={t`Noise`}
        options={['quiet', 'some-noise', 'loud'] as const}
        words={(one) => quietWords[one]}
      />
      <Several control={control} name="equipment" label={t`Things`} options={things} words={(one) => one} isFree />
      <YesNo control={control} name="wall" label={t`A wall`} />
      <YesNo control={control} name="partner" label={t`A partner`} />

      <Heading>
        <Trans>How it is learned</Trans>
      </Heading>
      <Several control={control} name="prerequisites" label={t`Comes before it`} options={slugs} words={nameOf} />
      <Several control={control} name="leadsTo" label={t`Leads to`} options={slugs} words={nameOf} />
      <One control={control} name="instead" label={t`Instead, for whom it is not`} options={slugs} words={nameOf} empty={t`nothing`} />
      <span />
      <FormField control={control} name="facts.termText" label={t`Term`} placeholder={t`mae geri`} />
      <FormField control={control} name="facts.termSayIt" label={t`Said`} placeholder={t`my GEH-ree`} />
      <FormField control={control} name="facts.termLanguage" label={t`Language`} placeholder={t`ja`} />
      <FormField control={control} name="facts.termMeaning" label={t`Means`} placeholder={t`front kick`} />
      <FormField
        control={control}
        name="facts.termVariants"
        label={t`What others call it, one a line`}
        placeholder={t`ap chagi / ahp CHAH-gee / Korean styles`}
        multiline
      />

      <Heading>
        <Trans>How it looks</Trans>
      </Heading>
      <FigureSteps control={control} />
      <Box sx={{ display: 'grid', gap: 1.75, alignContent: 'start' }}>
        <One
          control={control}
          name="facing"
          label={t`Seen from`}
          options={facings}
          words={(one) => facingWords[one]}
          empty={t`it does not matter`}
        />
        <One
          control={control}
          name="framing"
          label={t`In the picture`}
          options={framings}
          words={(one) => framingWords[one]}
          empty={t`it does not matter`}
        />
      </Box>
      <Box
        sx={{
          display: 'grid',
          placeItems: 'center',
          backgroundColor: palette.white,
          border: `1px solid ${palette.line}`,
          borderRadius: '6px',
        }}
      >
        <Figure
          movement={{
            figure: figure,
            view: { facing: facing === '' ? 'front' : facing, framing: 'standing' },
            plainMeaning: t`The figure as chosen`,
          }}
          size={190}
          isDecoration={false}
        />
      </Box>
    </>
  );
}

function Heading({ children }: { readonly children: ReactNode }) {
  return (
    <Typography variant="h3" sx={{ gridColumn: '1 / -1', borderTop: `1px solid ${palette.line}`, pt: 1.5, mt: 1 }}>
      {children}
    </Typography>
  );
}

type FactName = keyof FactsForm;

/** One of a few; empty where nobody chose yet. */
function One<Value extends string>({
  control,
  name,
  label,
  options,
  words,
  empty,
  isAsked = false,
}: {
  readonly control: Control<MovementForm>;
  readonly name: FactName;
  readonly label: string;
  readonly options: readonly Value[];
  readonly words: (value: Value) => string;
  /** What it means that nothing is chosen, where that is an answer. */
  readonly empty?: string;
  /** It has to be answered, and nothing is taken for granted. */
  readonly isAsked?: boolean;
}) {
  return (
    <FormField control={control} name={`facts.${name}`} label={label} select slotProps={{ select: { displayEmpty: true } }}>
      {(empty !== undefined || isAsked) && (
        <MenuItem value="" disabled={isAsked}>
          {empty ?? t`choose`}
        </MenuItem>
      )}
      {options.map((option) => (
        <MenuItem key={option} value={option}>
          {words(option)}
        </MenuItem>
      ))}
    </FormField>
  );
}

/** Any number of many, found by typing. */
function Several<Value extends string>({
  control,
  name,
  label,
  options,
  words,
  only,
  isFree = false,
}: {
  readonly control: Control<MovementForm>;
  readonly name: FactName;
  readonly label: string;
  readonly options: readonly Value[];
  readonly words: (value: Value) => string;
  /** Of those that are alike in this, only the last one chosen stays. */
  readonly only?: (value: Value) => string;
  readonly isFree?: boolean;
}) {
  const { field, fieldState } = useController({ control, name: `facts.${name}` });
  const value = field.value as readonly Value[]; // the fields that are shown so are lists
  return (
    <Autocomplete
      multiple
      freeSolo={isFree}
      autoSelect={isFree}
      size="small"
      options={[...options]}
      value={[...value]}
      getOptionLabel={(option) => words(option as Value)}
      onChange={(_event, next) => {
        const chosen = next as readonly Value[]; // of the options, or written where that may be
        const last = chosen.at(-1);
        field.onChange(only && last !== undefined ? [...chosen.slice(0, -1).filter((one) => only(one) !== only(last)), last] : [...chosen]);
      }}
      renderInput={(params) => (
        <TextField {...params} label={label} error={fieldState.error !== undefined} helperText={fieldState.error?.message} />
      )}
    />
  );
}

function YesNo({
  control,
  name,
  label,
}: {
  readonly control: Control<MovementForm>;
  readonly name: 'wall' | 'partner';
  readonly label: string;
}) {
  const { field } = useController({ control, name: `facts.${name}` });
  return (
    <label style={{ cursor: 'pointer' }}>
      <input
        type="checkbox"
        checked={field.value}
        onChange={(event) => {
          field.onChange(event.target.checked);
        }}
      />
      {label}
    </label>
  );
}
