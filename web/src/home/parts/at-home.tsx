import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { AdultPlace, ConsentKind, HomePageResponse } from '@leiter/contract';
import { surfaces, type Surface } from '@leiter/core';
import { useId, useState, type ReactNode } from 'react';
import { adultPlaceWords, surfaceWords } from '../../shared/household-words';
import type { Tell } from '../home-client';
import { dateText } from '../home-words';
import { Section } from './section';

const consentKinds = ['pictures', 'clips', 'badges'] as const satisfies readonly ConsentKind[];
const places = ['in-the-room', 'in-the-next-room', 'not-at-hand'] as const satisfies readonly AdultPlace[];

function consentWords(kind: ConsentKind): string {
  switch (kind) {
    case 'pictures':
      return t`Pictures of the class may show our child`;
    case 'clips':
      return t`Clips that we send may be kept to be looked at`;
    case 'badges':
      return t`A badge that our child earned may be verified by others`;
  }
}

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
            <p>
              {child.isHomeKnown
                ? t`Floor: ${surfaceWords[household.surface]}; ${household.clearLengthM} × ${household.clearWidthM} m free; adult: ${adultPlaceWords[household.adult]}${household.things.length > 0 ? `; ${household.things.join(', ')}` : ''}.`
                : t`Nobody has told yet what there is at home. Exercises are chosen by it, so that nothing needs more room than there is.`}
            </p>
            <button
              type="button"
              className={child.isHomeKnown ? '' : 'main'}
              onClick={() => {
                setChanging(true);
              }}
            >
              {child.isHomeKnown ? t`Something changed` : t`Tell it`}
            </button>
          </>
        )}
      </Section>
      <div className="on-screen">
        <Section title={t`What we allow`} about={t`Nothing is allowed until you say so, and you can take it back at any time.`}>
          {consentKinds.map((kind) => {
            const words = consentWords(kind);
            const last = page.consents.find((one) => one.kind === kind);
            const say = (isGiven: boolean): void => {
              if (isGiven === (last?.isGiven ?? false)) return;
              void tell({ method: 'POST', path: 'home/consents', body: { kind, isGiven } }, (now) => ({
                ...now,
                consents: [...now.consents.filter((one) => one.kind !== kind), { kind, isGiven, at: new Date().toISOString(), by: null }],
              }));
            };
            return (
              <div key={kind} className="line">
                <div>
                  {words}
                  {last && (
                    <div className="small soft">
                      {last.isGiven
                        ? t`allowed on ${dateText(last.at.slice(0, 10))}`
                        : t`not allowed since ${dateText(last.at.slice(0, 10))}`}
                    </div>
                  )}
                </div>
                <div role="group" aria-label={words} className="rest choice">
                  {[true, false].map((isGiven) => (
                    <button
                      key={String(isGiven)}
                      type="button"
                      aria-pressed={isGiven === (last?.isGiven ?? false)}
                      onClick={() => {
                        say(isGiven);
                      }}
                    >
                      {isGiven ? t`yes` : t`no`}
                    </button>
                  ))}
                </div>
              </div>
            );
          })}
        </Section>
      </div>
    </>
  );
}

type Told = HomePageResponse['child']['household'];
type Household = Pick<Told, keyof Told>;

function HomeForm({
  page,
  onSave,
  onCancel,
}: {
  readonly page: HomePageResponse;
  readonly onSave: (household: Household) => void;
  readonly onCancel: () => void;
}) {
  const before: Household = page.child.household;
  const [surface, setSurface] = useState<Surface>(before.surface);
  const [length, setLength] = useState(String(before.clearLengthM));
  const [width, setWidth] = useState(String(before.clearWidthM));
  const [things, setThings] = useState(before.things.join(', '));
  const [adult, setAdult] = useState<AdultPlace>(before.adult);
  const metres = (text: string): number => Number(text.replace(',', '.'));
  const isRight = [length, width].every((text) => metres(text) >= 0.5 && metres(text) <= 50);
  return (
    <form
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
    >
      <Field label={t`The floor`}>
        {(id) => (
          <select
            id={id}
            value={surface}
            onChange={(event) => {
              setSurface(surfaces.find((one) => one === event.target.value) ?? surface);
            }}
          >
            {surfaces.map((one) => (
              <option key={one} value={one}>
                {surfaceWords[one]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="two">
        <Field label={t`Free length in metres`}>
          {(id) => (
            <input
              id={id}
              inputMode="decimal"
              value={length}
              onChange={(event) => {
                setLength(event.target.value);
              }}
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
            />
          )}
        </Field>
      </div>
      {!isRight && (
        <div role="alert" className="caution">
          <Trans>Metres as a number, at least half a metre.</Trans>
        </div>
      )}
      <Field label={t`Where an adult is during class`}>
        {(id) => (
          <select
            id={id}
            value={adult}
            onChange={(event) => {
              setAdult(places.find((one) => one === event.target.value) ?? adult);
            }}
          >
            {places.map((one) => (
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
          />
        )}
      </Field>
      <div className="buttons">
        <button type="submit" className="main" disabled={!isRight}>
          <Trans>Tell the club</Trans>
        </button>
        <button type="button" onClick={onCancel}>
          <Trans>Leave it</Trans>
        </button>
      </div>
    </form>
  );
}

function Field({ label, children }: { readonly label: string; readonly children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id}>{label}</label>
      {children(id)}
    </div>
  );
}
