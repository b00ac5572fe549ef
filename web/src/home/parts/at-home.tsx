import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { AdultPlace, ConsentKind, HomePageResponse } from '@leiter/contract';
import { surfaces, type Surface } from '@leiter/core';
import { useId, useState, type ReactNode } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { adultPlaceWords } from '../../shared/household-words';
import { palette } from '../../shared/palette';
import { dateText, surfaceWords } from '../../shared/words';
import type { Tell } from '../home.page';
import { Section } from './section';

const consents: readonly { readonly kind: ConsentKind; readonly words: string }[] = [
  { kind: 'pictures', words: t`Pictures of the class may show our child` },
  { kind: 'clips', words: t`Clips that we send may be kept to be looked at` },
  { kind: 'badges', words: t`A badge that our child earned may be verified by others` },
];

/** What there is at home, told again when it changes, and what the family allows. */
export function AtHome({ page, tell }: { readonly page: HomePageResponse; readonly tell: Tell }) {
  const [isChanging, setChanging] = useState(false);
  const { child } = page;
  const { household } = child;
  return (
    <>
      <Section title={t`At home`}>
        {isChanging ? (
          <HomeForm
            page={page}
            onSave={(changed) => {
              setChanging(false);
              void tell(
                { method: 'PUT', path: 'home/household', body: { household: changed, householdVersion: child.householdVersion } },
                (now) => ({
                  ...now,
                  child: { ...now.child, household: changed, householdVersion: child.householdVersion + 1, isHomeKnown: true },
                }),
              );
            }}
            onCancel={() => {
              setChanging(false);
            }}
          />
        ) : (
          <>
            <Box sx={{ mb: 1 }}>
              {child.isHomeKnown
                ? t`${surfaceWords[household.surface]}, ${household.clearLengthM} × ${household.clearWidthM} m free, adult: ${adultPlaceWords[household.adult]}${household.things.length > 0 ? `; ${household.things.join(', ')}` : ''}.`
                : t`Nobody has told yet what there is at home. Exercises are chosen by it, so that nothing needs more room than there is.`}
            </Box>
            <Button
              variant={child.isHomeKnown ? 'outlined' : 'contained'}
              onClick={() => {
                setChanging(true);
              }}
            >
              {child.isHomeKnown ? t`Something changed` : t`Tell it`}
            </Button>
          </>
        )}
      </Section>
      <Section title={t`What we allow`} about={t`Nothing is allowed until you say so, and you can take it back at any time.`}>
        {consents.map(({ kind, words }) => {
          const last = page.consents.find((one) => one.kind === kind);
          return (
            <Box
              key={kind}
              sx={{
                borderTop: `1px solid ${palette.line}`,
                py: 1,
                display: 'flex',
                gap: 1,
                alignItems: 'center',
                justifyContent: 'space-between',
              }}
            >
              <Box>
                {words}
                {last && (
                  <Box sx={{ fontSize: 14, color: palette.soft }}>
                    {last.isGiven
                      ? t`allowed on ${dateText(last.at.slice(0, 10))}`
                      : t`not allowed since ${dateText(last.at.slice(0, 10))}`}
                  </Box>
                )}
              </Box>
              <ChoiceBar
                label={words}
                choices={[
                  { value: 'yes', words: t`yes` },
                  { value: 'no', words: t`no` },
                ]}
                value={last?.isGiven ? 'yes' : 'no'}
                onChange={(chosen) => {
                  const isGiven = chosen === 'yes';
                  if (chosen === null || isGiven === (last?.isGiven ?? false)) return;
                  void tell({ method: 'POST', path: 'home/consents', body: { kind, isGiven } }, (now) => ({
                    ...now,
                    consents: [
                      ...now.consents.filter((one) => one.kind !== kind),
                      { kind, isGiven, at: new Date().toISOString(), by: null },
                    ],
                  }));
                }}
              />
            </Box>
          );
        })}
      </Section>
    </>
  );
}

type Household = HomePageResponse['child']['household'];

function HomeForm({
  page,
  onSave,
  onCancel,
}: {
  readonly page: HomePageResponse;
  readonly onSave: (household: Household) => void;
  readonly onCancel: () => void;
}) {
  const before = page.child.household;
  const [surface, setSurface] = useState<Surface>(before.surface);
  const [length, setLength] = useState(String(before.clearLengthM));
  const [width, setWidth] = useState(String(before.clearWidthM));
  const [things, setThings] = useState(before.things.join(', '));
  const [adult, setAdult] = useState<AdultPlace>(before.adult);
  const metres = (text: string): number => Number(text.replace(',', '.'));
  const isRight = [length, width].every((text) => metres(text) >= 0.5 && metres(text) <= 50);
  return (
    <Box
      component="form"
      aria-label={t`At home`}
      onSubmit={(event) => {
        event.preventDefault();
        if (!isRight) return;
        onSave({
          ...before,
          surface,
          clearLengthM: metres(length),
          clearWidthM: metres(width),
          adult,
          things: things
            .split(',')
            .map((thing) => thing.trim())
            .filter((thing) => thing !== '')
            .slice(0, 30),
        });
      }}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <Field label={t`The floor`}>
        {(id) => (
          <select
            id={id}
            value={surface}
            onChange={(event) => {
              setSurface(surfaces.find((one) => one === event.target.value) ?? surface);
            }}
            style={fieldStyle}
          >
            {surfaces.map((one) => (
              <option key={one} value={one}>
                {surfaceWords[one]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <Field label={t`Free length in metres`}>
          {(id) => (
            <input
              id={id}
              inputMode="decimal"
              value={length}
              onChange={(event) => {
                setLength(event.target.value);
              }}
              style={fieldStyle}
            />
          )}
        </Field>
        <Field label={t`Free width in metres`}>
          {(id) => (
            <input
              id={id}
              inputMode="decimal"
              value={width}
              onChange={(event) => {
                setWidth(event.target.value);
              }}
              style={fieldStyle}
            />
          )}
        </Field>
      </Box>
      {!isRight && (
        <Box role="alert" sx={{ color: palette.stop }}>
          <Trans>Metres as a number, at least half a metre.</Trans>
        </Box>
      )}
      <Field label={t`Where an adult is during class`}>
        {(id) => (
          <select
            id={id}
            value={adult}
            onChange={(event) => {
              const chosen = (['in-the-room', 'in-the-next-room', 'not-at-hand'] as const).find((one) => one === event.target.value);
              if (chosen) setAdult(chosen);
            }}
            style={fieldStyle}
          >
            {(['in-the-room', 'in-the-next-room', 'not-at-hand'] as const).map((one) => (
              <option key={one} value={one}>
                {adultPlaceWords[one]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label={t`Things there are: chair, mat, cushion …`}>
        {(id) => (
          <input
            id={id}
            value={things}
            maxLength={400}
            onChange={(event) => {
              setThings(event.target.value);
            }}
            style={fieldStyle}
          />
        )}
      </Field>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={!isRight}>
          <Trans>Tell the club</Trans>
        </Button>
        <Button variant="outlined" onClick={onCancel}>
          <Trans>Leave it</Trans>
        </Button>
      </Box>
    </Box>
  );
}

const fieldStyle = {
  font: 'inherit',
  width: '100%',
  minHeight: 44,
  padding: '6px 10px',
  border: '1px solid #8A8371',
  borderRadius: 8,
  background: '#FFFFFF',
  color: palette.ink,
} as const;

function Field({ label, children }: { readonly label: string; readonly children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <Box>
      <Box component="label" htmlFor={id} sx={{ display: 'block', fontSize: 14, mb: 0.25 }}>
        {label}
      </Box>
      {children(id)}
    </Box>
  );
}
