import { t } from '@lingui/core/macro';
import { useParams } from 'react-router';
import { useClassPage } from '../queries/class.queries';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useMay } from '../queries/may';
import { Loaded, Message } from '../shared/page';
import { LiveClass } from './live-class';

/** Teaching a class: full screen, dark, hands-free. */
function TeachPage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const library = useLibrary();
  const may = useMay();
  if (!may.change)
    return (
      <Message
        title={t`Only instructors teach`}
        text={t`The roll, the marks and the plan to read are on the page of the class.`}
        action={{ label: t`To the class`, href: `/classes/${id}` }}
      />
    );
  return (
    <Loaded query={page} what={t`class`}>
      {(data) => (
        <Loaded query={movements} what={t`library`}>
          {() =>
            data.stored ? (
              <LiveClass key={id} page={data} stored={data.stored} library={library} />
            ) : (
              <Message
                title={t`This class has no plan yet`}
                text={t`Teach goes by the plan. Start one; it takes a minute.`}
                action={{ label: t`Plan this class`, href: `/classes/${id}/plan` }}
              />
            )
          }
        </Loaded>
      )}
    </Loaded>
  );
}

export { TeachPage as Page };
