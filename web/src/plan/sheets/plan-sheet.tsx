import { t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import type { ClassPlan, Evaluation, EvaluationContext, Library, PlanEdit } from '@leiter/core';
import { readClassPage } from '../../queries/class.queries';
import type { DocumentSession } from '../../shared/document-session/use-document-session';
import { storedDocument } from '../editing/plan-kind';
import { FitDialog } from '../findings/fit-dialog';
import type { ClassAction } from '../inspector/class-inspector';
import { PlanImport } from './plan-import';
import { SafetyTalkDialog } from './safety-talk-dialog';
import { TemplateDialog } from './template-dialog';
import { WhoDoesWhat } from './who-does-what';

interface Props {
  /** What is to be done with the class as a whole. */
  readonly open: Exclude<ClassAction, 'calm'>;
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly library: Library;
  readonly context: EvaluationContext;
  readonly evaluation: Evaluation;
  readonly talk: () => readonly string[];
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
  readonly onSaid: (words: string) => void;
  /** Goes on from what a file made of the plan. */
  readonly onTaken: DocumentSession<ClassPlan>['goOnFrom'];
  readonly onClose: () => void;
}

/** The dialog of an action on the whole class. */
export function PlanSheet({ open, page, plan, library, context, evaluation, talk, onEdit, onSaid, onTaken, onClose }: Props) {
  const classId = page.class.id;
  switch (open) {
    case 'fit':
      return <FitDialog plan={plan} library={library} context={context} onTake={onEdit} onClose={onClose} />;
    case 'keep':
      return (
        <TemplateDialog
          page={page}
          plan={plan}
          onClose={onClose}
          onKept={(name) => {
            onSaid(t`“${name}” is kept: any class of the programme can start from it.`);
            onClose();
          }}
        />
      );
    case 'who':
      return (
        <WhoDoesWhat
          page={page}
          plan={plan}
          context={context}
          evaluation={evaluation}
          library={library}
          onEdit={onEdit}
          onClose={onClose}
        />
      );
    case 'talk':
      return <SafetyTalkDialog lines={talk()} onClose={onClose} />;
    case 'file':
      return (
        <PlanImport
          classId={classId}
          version={page.stored?.version ?? 0}
          onTaken={() => {
            void readClassPage(classId).then(({ stored }) => {
              const document = storedDocument(stored);
              if (document) onTaken(document);
            });
          }}
          onClose={onClose}
        />
      );
  }
}
