import type { Household } from '@leiter/contract';
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

  @Column('timestamptz', { name: 'archived_at', nullable: true })
  archivedAt!: Date | null;
}
