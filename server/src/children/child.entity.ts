import type { FamilyContact, FamilyLanguage, Household } from '@leiter/contract';
import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('child')
export class ChildEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('text', { name: 'given_name' })
  givenName!: string;

  @Column('text', { name: 'family_initial' })
  familyInitial!: string;

  @Column('date', { name: 'birth_date' })
  birthDate!: string;

  @Column('text', { name: 'lead_side' })
  leadSide!: 'left' | 'right';

  @Column('jsonb')
  household!: Household;

  /** Grows with each change of the home. */
  @Column('integer', { name: 'household_version', default: 1 })
  householdVersion!: number;

  @Column('boolean', { name: 'home_known', default: true })
  homeKnown!: boolean;

  @Column('jsonb', { default: [] })
  contacts!: FamilyContact[];

  @Column('text', { name: 'family_language', nullable: true })
  familyLanguage!: FamilyLanguage | null;

  @Column('timestamptz', { name: 'archived_at', nullable: true })
  archivedAt!: Date | null;
}
