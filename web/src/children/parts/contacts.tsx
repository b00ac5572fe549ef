import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ChildPageResponse, FamilyContact, FamilyLanguage } from '@leiter/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { changeChild } from '../../queries/children.queries';
import { familyLanguages, languageNames } from '../../shared/family/languages';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';
import { TextButton } from '../../shared/text-button';
import { offerUndo } from '../../shared/undo-bar';

/** Whom one writes to about a child; only its staff and the owner see it. */
export function Contacts({ page, mayChange }: { readonly page: ChildPageResponse; readonly mayChange: boolean }) {
  const [isChanging, setChanging] = useState(false);
  const { contacts, child } = page;
  if (contacts === null) return null;
  return (
    <Box component="section" aria-label={t`Family`} sx={{ mb: 2.5 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Family</Trans>
      </Typography>
      {contacts.map(({ name, email, phone }) => (
        <Box
          key={`${name} ${email ?? ''}`}
          sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5, fontSize: 14.5, overflowWrap: 'anywhere' }}
        >
          <strong>{name}</strong>
          {email !== undefined && (
            <div>
              <a href={`mailto:${email}`}>{email}</a>
            </div>
          )}
          {phone !== undefined && (
            <div>
              <a href={`tel:${phone.replaceAll(/[^+\d]/g, '')}`}>{phone}</a>
            </div>
          )}
        </Box>
      ))}
      {child.familyLanguage !== null && child.familyLanguage !== 'en' && (
        <Box sx={{ fontSize: 14.5, color: palette.soft }}>{t`Written to in ${languageNames[child.familyLanguage]}`}</Box>
      )}
      {contacts.length === 0 && (
        <Typography variant="body2">
          <Trans>Nobody is written down.</Trans>
        </Typography>
      )}
      {mayChange && (
        <TextButton
          label={contacts.length === 0 ? t`Add a contact` : t`Change`}
          onClick={() => {
            setChanging(true);
          }}
        />
      )}
      {isChanging && (
        <ContactsForm
          childId={child.id}
          name={child.givenName}
          contacts={contacts}
          language={child.familyLanguage}
          onClose={() => {
            setChanging(false);
          }}
        />
      )}
    </Box>
  );
}

interface Line {
  readonly name: string;
  readonly email: string;
  readonly phone: string;
}

const mostContacts = 4;

function ContactsForm({
  childId,
  name,
  contacts,
  language,
  onClose,
}: {
  readonly childId: string;
  readonly name: string;
  readonly contacts: readonly FamilyContact[];
  readonly language: FamilyLanguage | null;
  readonly onClose: () => void;
}) {
  const lines: Line[] = contacts.map((one) => ({ name: one.name, email: one.email ?? '', phone: one.phone ?? '' }));
  const { form, submit } = useServerForm<{ contacts: Line[]; familyLanguage: FamilyLanguage }>(
    { contacts: lines.length === 0 ? [{ name: '', email: '', phone: '' }] : lines, familyLanguage: language ?? 'en' },
    async (values) => {
      const wanted = values.contacts.filter((one) => one.name.trim() !== '' || one.email.trim() !== '' || one.phone.trim() !== '');
      const { familyLanguage } = values;
      await changeChild(childId, { contacts: wanted.map(contactOf), familyLanguage });
      offerUndo(t`Whom to write to about ${name} is changed`, () =>
        changeChild(childId, { contacts: [...contacts], familyLanguage: language ?? 'en' }),
      );
      onClose();
    },
  );
  const { control, formState } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'contacts' });
  return (
    <FormDialog title={t`Family of ${name}`} action={t`Save`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <Typography variant="body2" sx={{ color: palette.soft }}>
        <Trans>As little as is needed to reach somebody. Only who teaches {name} and the owner see it.</Trans>
      </Typography>
      <FormField control={control} name="familyLanguage" label={t`Language of letters and of the family’s page`} select>
        {familyLanguages.map((one) => (
          <MenuItem key={one} value={one} lang={one}>
            {languageNames[one]}
          </MenuItem>
        ))}
      </FormField>
      {fields.map((field, index) => (
        <Box
          key={field.id}
          component="fieldset"
          sx={{ border: 0, borderTop: `1px solid ${palette.line}`, p: 0, pt: 1.25, m: 0, display: 'grid', gap: 1 }}
        >
          <FormField control={control} name={`contacts.${String(index) as `${number}`}.name`} label={t`Name`} />
          <FormField control={control} name={`contacts.${String(index) as `${number}`}.email`} label={t`E-mail`} type="email" />
          <FormField control={control} name={`contacts.${String(index) as `${number}`}.phone`} label={t`Telephone`} type="tel" />
          <Box>
            <TextButton
              label={t`Remove`}
              onClick={() => {
                remove(index);
              }}
            />
          </Box>
        </Box>
      ))}
      {fields.length < mostContacts && (
        <Box>
          <Button
            variant="outlined"
            onClick={() => {
              append({ name: '', email: '', phone: '' });
            }}
          >
            <Trans>Another one</Trans>
          </Button>
        </Box>
      )}
    </FormDialog>
  );
}

function contactOf({ name, email, phone }: Line): FamilyContact {
  return { name, ...(email.trim() === '' ? {} : { email: email.trim() }), ...(phone.trim() === '' ? {} : { phone: phone.trim() }) };
}
