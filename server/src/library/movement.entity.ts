import type { Movement } from '@leiter/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('movement')
export class MovementEntity {
  @PrimaryColumn('uuid', { name: 'club_id' })
  clubId!: string;

  @PrimaryColumn('text')
  slug!: string;

  @Column('jsonb')
  document!: Movement;
}
