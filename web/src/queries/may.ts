import { useSession } from './session.queries';

/** What whoever is signed in may do: nobody is offered more. */
export interface May {
  /** Plan, teach, move and cancel classes; change children, groups, ladders and the library. */
  readonly change: boolean;
  /** Invite people, give roles, hand groups on. */
  readonly run: boolean;
}

/** Nobody may anything as long as it is not known who is signed in. */
export function useMay(): May {
  const role = useSession().data?.person.role;
  return { change: role === 'owner' || role === 'instructor', run: role === 'owner' };
}
