import { t } from '@lingui/core/macro';
import type { Role } from '@leiter/contract';

export const roleWords: Readonly<Record<Role, string>> = {
  owner: t`owner: runs the club`,
  instructor: t`instructor: plans, teaches, changes children and groups`,
  assistant: t`assistant: looks and marks`,
};
