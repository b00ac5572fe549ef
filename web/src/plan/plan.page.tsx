import { t } from '@lingui/core/macro';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { ClassPlan } from '@leiter/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useMay } from '../queries/may';
import { keptDraft } from '../shared/document-session/kept-draft';
import { useKeptHistory } from '../shared/document-session/use-kept-history';
import { FiguresFor } from '../shared/figure-age';
import { Loaded, Message, Page } from '../shared/page';
import { aboutClass } from './about-class';
import { useClassPage, useTemplates } from '../queries/class.queries';
import { TemplateChooser } from './sheets/template-chooser';
import { PlanEditor } from './plan-editor';
import { planKind } from './editing/plan-kind';
import { PhonePlan } from './reading/phone-plan';
import { PlanReader } from './reading/plan-reader';

/** The plan of one class: chosen from a template first, then written. Another class is another page: nothing of it stays. */
function PlanPage() {
  const { id = '' } = useParams();
  return <PlanOfClass key={id} id={id} />;
}

function PlanOfClass({ id }: { readonly id: string }) {
  const page = useClassPage(id);
  return (
    <FiguresFor them={page.data?.children ?? []}>
      <LoadedPlan id={id} />
    </FiguresFor>
  );
}

function LoadedPlan({ id }: { readonly id: string }) {
  const page = useClassPage(id);
  const movements = useMovements();
  const templates = useTemplates();
  const library = useLibrary();
  const history = useKeptHistory(planKind, id);
  const may = useMay();
  const isPhone = useMediaQuery('(max-width: 699px)');
  const [started, setStarted] = useState<ClassPlan | null>(null);
  return (
    <Loaded query={page} what={t`class`}>
      {(data) => (
        <Loaded query={movements} what={t`library`}>
          {(all) => {
            const plan = started ?? keptDraft(planKind, id)?.content ?? data.stored?.plan;
            if (!may.change)
              return data.stored ? (
                <PlanReader page={data} plan={data.stored.plan} library={library} />
              ) : (
                <Page title={data.class.groupName} about={aboutClass(data)}>
                  <Message
                    title={t`Not planned yet`}
                    text={t`Whoever teaches this class plans it.`}
                    action={{ label: t`To the class`, href: `/classes/${id}` }}
                  />
                </Page>
              );
            if (plan && history.isPending) return null;
            if (plan && isPhone) return <PhonePlan page={data} library={library} initial={plan} kept={history.data ?? null} />;
            if (plan) return <PlanEditor page={data} movements={all} library={library} initial={plan} kept={history.data ?? null} />;
            return (
              <Page title={data.class.groupName} about={aboutClass(data)}>
                <Loaded query={templates} what={t`templates`}>
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

export { PlanPage as Page };
