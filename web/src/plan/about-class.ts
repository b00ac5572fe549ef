import { plural, t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import { isExpected } from '@leiter/contract/who-comes';
import { dayText } from '../shared/words';

/** When a class is and how many come, in a line. */
export function aboutClass(page: ClassPageResponse): string {
  const coming = page.children.filter(isExpected).length;
  return t`${dayText(page.class.day)} · ${page.class.startsAt} · ${plural(coming, { one: '# child', other: '# children' })} coming`;
}
