import { t } from '@lingui/core/macro';
import { clockText, effortWord, regionWord, type BodyAt } from '@leiter/core';

/** What an item asks of bodies, in a line: the words of the ribbon and of the columns beside it. */
export function bodyWords(body: BodyAt): string {
  const ready = body.loads.flatMap(({ region, preparedSecondsAgo }) =>
    preparedSecondsAgo === null ? [] : [t`${regionWord(region)} (ready since ${clockText(preparedSecondsAgo)})`],
  );
  const unready = body.loads.filter(({ preparedSecondsAgo }) => preparedSecondsAgo === null).map(({ region }) => regionWord(region));
  return [
    t`Effort ${effortWord(body.effort)}`,
    body.isCooled
      ? t`bodies cooled off`
      : body.isWarm
        ? t`bodies warm`
        : t`bodies ${Math.floor(body.warmShare * 100)} % of the way to warm`,
    ...(ready.length > 0 ? [t`loads ${ready.join(', ')}`] : []),
    ...(unready.length > 0 ? [t`loads ${unready.join(', ')}, which nothing has readied`] : []),
    ...(body.prepares.length > 0 ? [t`readies ${body.prepares.map(regionWord).join(', ')}`] : []),
    ...(body.onHandsSeconds > 0 ? [t`${clockText(body.onHandsSeconds)} on the hands`] : []),
  ].join(' · ');
}
