import type { Help, Mark, Measure, ObservationSource, ObservedSide } from '@leiter/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('observation')
export class ObservationEntity {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'child_id' })
  childId!: string;

  @Column('text', { name: 'movement_slug' })
  movementSlug!: string;

  @Column('smallint', { nullable: true })
  stage!: number | null;

  @Column('text')
  side!: ObservedSide;

  @Column('text')
  mark!: Mark;

  @Column('text', { nullable: true })
  help!: Help | null;

  @Column('jsonb')
  measure!: Measure;

  @Column('text', { array: true })
  faults!: string[];

  @Column('text')
  note!: string;

  @Column('date', { name: 'seen_on' })
  seenOn!: string;

  @Column('timestamptz', { name: 'recorded_at' })
  recordedAt!: Date;

  @Column('uuid', { name: 'recorded_by', nullable: true })
  recordedBy!: string | null;

  @Column('text')
  source!: ObservationSource;

  @Column('uuid', { name: 'class_id', nullable: true })
  classId!: string | null;

  @Column('uuid', { nullable: true })
  supersedes!: string | null;
}
