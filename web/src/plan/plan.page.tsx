import type { ClassPlan } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useLibrary, useMovements } from '../library/library.queries';
import { Loaded, Page } from '../shared/page';
import { aboutClass } from './about-class';
import { draftOf } from './autosave';
import { useClassPage, useTemplates } from './class.queries';
import { TemplateChooser } from './parts/template-chooser';
import { PlanEditor } from './plan-editor';
import { historyOf } from './plan-history';

/** The plan of one class: chosen from a template first, then written. */
export function PlanPage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const templates = useTemplates();
  const library = useLibrary();
  const history = useKeptHistory(id);
  const [started, setStarted] = useState<ClassPlan | null>(null);
  return (
    <Loaded query={page} what="class">
      {(data) => (
        <Loaded query={movements} what="library">
          {(all) => {
            const plan = started ?? draftOf(id)?.plan ?? data.stored?.plan;
            if (plan && history.isPending) return null;
            if (plan)
              return <PlanEditor key={id} page={data} movements={all} library={library} initial={plan} kept={history.data ?? null} />;
            return (
              <Page title={data.class.groupName} about={aboutClass(data)}>
                <Loaded query={templates} what="templates">
                  {(found) => <TemplateChooser page={data} templates={found} library={library} onStart={setStarted} />}
                </Loaded>
              </Page>
            );
          }}
        </Loaded>
      )}
    </Loaded>
  );
}

/** What the browser kept of earlier steps; read once when the page opens. A browser that keeps nothing has none. */
function useKeptHistory(id: string) {
  return useQuery({
    queryKey: ['plan-history', id],
    queryFn: () => historyOf(id, new Date()).catch(() => null),
    networkMode: 'always',
    gcTime: 0,
    staleTime: Infinity,
  });
}
