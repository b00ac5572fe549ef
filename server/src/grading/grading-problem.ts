import type { CloseRefusal, ReopenRefusal } from './grading-close.service.js';
import type { GradingMarkRefusal } from './grading-marks.service.js';
import type { GradingRefusal } from './gradings.service.js';
import type { TimetableRefusal } from './timetables.service.js';

export type AnyGradingRefusal = GradingRefusal | TimetableRefusal | GradingMarkRefusal | CloseRefusal | ReopenRefusal;

/** The status and the sentence of a refusal. */
export function problemOfGrading(refusal: Exclude<AnyGradingRefusal, { readonly kind: 'reason-missing' }>): readonly [number, string] {
  switch (refusal.kind) {
    case 'closed':
      return [409, 'This grading day is closed. Open it again to change something.'];
    case 'not-closed':
      return [409, 'This grading day is open already.'];
    case 'changed-meanwhile':
      return [409, 'Something changed while this was being done. Look again, and do it once more.'];
    case 'id-used':
      return [409, 'Another mark has this id.'];
    case 'has-marks':
      return [409, 'There are marks already. They would be lost.'];
    case 'climbed-since':
      return [409, `A higher grade was given since to ${refusal.names.join(', ')}. Take that one back first.`];
    case 'day-is-over':
      return [422, 'This day is over.'];
    case 'too-early':
      return [422, 'This grading day has not come yet.'];
    case 'examiner-unknown':
      return [422, 'Somebody who is to look does not work here any more.'];
    case 'too-few-examiners':
      return [422, 'Two are to look at once, and there is only one. Choose another examiner first.'];
    case 'at-the-top':
      return [422, 'There is no grade above for this child.'];
    case 'nobody-entered':
      return [422, 'Nobody comes yet. Choose children first.'];
    case 'not-entered':
      return [422, 'This child does not come to this grading day.'];
    case 'not-asked':
      return [422, 'The grade of this child does not ask this.'];
    case 'side-not-asked':
      return [422, 'This side is not asked.'];
    case 'fault-unknown':
      return [422, `This movement has no fault “${refusal.fault}”.`];
  }
}
