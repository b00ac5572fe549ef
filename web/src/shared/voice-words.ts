import { t } from '@lingui/core/macro';
import type { CountLanguage, GoWay, NameSource, Stance } from '@leiter/core';

export const countLanguageWords: Readonly<Record<CountLanguage, string>> = {
  en: t`English`,
  ja: t`Japanese`,
  ko: t`Korean`,
  fr: t`French`,
};

export const nameSourceWords: Readonly<Record<NameSource, string>> = { clips: t`Leiter’s voice`, computer: t`a voice of this computer` };

export const goWords: Readonly<Record<GoWay, string>> = {
  'by-itself': t`by itself, when explaining is over`,
  'on-signal': t`on my signal`,
};

export const stanceWords: Readonly<Record<Stance, string>> = {
  mirror: t`facing them, other side`,
  turned: t`back to them, same side`,
  facing: t`facing them, same side`,
};
