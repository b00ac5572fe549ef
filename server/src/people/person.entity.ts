import type { TeachingRoom, TeachingStyle, TeachingVoice } from '@leiter/core';
import type { Role } from '@leiter/contract';
import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('person')
export class PersonEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('text')
  name!: string;

  @Column('text')
  email!: string;

  @Column('text')
  role!: Role;

  @Column('text', { name: 'password_hash' })
  passwordHash!: string;

  /** Where the person teaches; null as long as nobody said. */
  @Column('jsonb', { nullable: true })
  room!: TeachingRoom | null;

  /** How the person usually teaches. */
  @Column('text', { default: 'as-it-comes' })
  style!: TeachingStyle;

  /** How the person leads a class; what was never chosen is as usual. */
  @Column('jsonb', { default: {} })
  voice!: Partial<TeachingVoice>;

  /** Who was put away does not sign in; what the person wrote stays. */
  @Column('timestamptz', { name: 'put_away_at', nullable: true })
  putAwayAt!: Date | null;
}
