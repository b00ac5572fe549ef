import type { Role } from '@leiter/contract';

/** The people of the demo club; they exist nowhere else. */
export const demoPassword = 'farholm-demo';

export const demoPeople: readonly {
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly does: string;
  readonly programme: string | null;
}[] = [
  { name: 'Solveig Aune', email: 'owner@sail-loft.example', role: 'owner', does: 'runs the club', programme: null },
  { name: 'Tomasz Bielik', email: 'gymnastics@sail-loft.example', role: 'instructor', does: 'teaches gymnastics', programme: 'gymnastics' },
  { name: 'Amara Osei-Lund', email: 'dance@sail-loft.example', role: 'instructor', does: 'teaches dance', programme: 'dance' },
  {
    name: 'Kenji Marwick',
    email: 'martial-arts@sail-loft.example',
    role: 'instructor',
    does: 'teaches martial arts',
    programme: 'martial-arts',
  },
  { name: 'Runa Petrie', email: 'assistant@sail-loft.example', role: 'assistant', does: 'helps in every group', programme: null },
];
