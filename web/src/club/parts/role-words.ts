import type { Role } from '@leiter/contract';

export const roleWords: Readonly<Record<Role, string>> = {
  owner: 'owner: runs the club',
  instructor: 'instructor: plans, teaches, changes children and groups',
  assistant: 'assistant: looks and marks',
};
