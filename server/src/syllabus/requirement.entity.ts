import type { Criterion } from '@leiter/core';
import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('requirement')
export class RequirementEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'grade_id' })
  gradeId!: string;

  @Column('integer')
  position!: number;

  @Column('text', { name: 'movement_slug' })
  movementSlug!: string;

  @Column('integer', { nullable: true })
  stage!: number | null;

  @Column('jsonb')
  criterion!: Criterion;

  @Column('boolean', { name: 'is_put_away', default: false })
  isPutAway!: boolean;
}
