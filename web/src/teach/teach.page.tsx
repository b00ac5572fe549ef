import { t } from '@lingui/core/macro';
import { useParams } from 'react-router';
import { LiveClass } from './live-class';
import { PlannedClass } from './planned-class';

/** Teaching a class: full screen, dark, hands-free. */
function TeachPage() {
  const { id = '' } = useParams();
  return (
    <PlannedClass id={id} refusal={t`Only instructors teach`}>
      {(page, stored, library) => <LiveClass key={id} page={page} stored={stored} library={library} />}
    </PlannedClass>
  );
}

export { TeachPage as Page };
