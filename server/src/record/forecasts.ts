import { forecastOf, type ChildToForecast, type Forecast, type Progress } from '@leiter/core';

/** So many are kept; a club has fewer children. */
const most = 4000;

/** Forecasts that were reckoned: anew only when something they rest on is another. */
export class Forecasts {
  private readonly kept = new Map<string, { readonly restsOn: string; readonly forecast: Forecast }>();

  /** @param climber with the number of its marks: a correction is one more */
  of(
    { asked, marks }: { readonly asked: ChildToForecast | null; readonly marks: number },
    progress: Progress,
    coming: readonly string[],
    today: string,
  ): Forecast | null {
    if (!asked) return null;
    const { id, grade, child, attended, held } = asked;
    const key = `${id} ${grade.id} ${coming[0] ?? ''}`;
    const restsOn = `${textOf(coming)} ${textOf(progress)} ${JSON.stringify([today, marks, held, attended.length, attended.at(-1), child])}`;
    const found = this.kept.get(key);
    if (found?.restsOn === restsOn) return found.forecast;
    const forecast = forecastOf(asked, progress, coming, today);
    if (this.kept.size >= most) this.kept.clear();
    this.kept.set(key, { restsOn, forecast });
    return forecast;
  }
}

const texts = new WeakMap<object, string>();

/** What all children of a group have in common is written once. */
function textOf(shared: object): string {
  const text = texts.get(shared) ?? JSON.stringify(shared);
  texts.set(shared, text);
  return text;
}
