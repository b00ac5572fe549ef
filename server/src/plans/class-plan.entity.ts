import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('class_plan')
export class ClassPlanEntity {
  @PrimaryColumn('uuid', { name: 'class_id' })
  classId!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('integer')
  version!: number;

  @Column('jsonb')
  /** As `writePlan` writes it; opened by `openPlan`. */
  document!: object;

  @Column('timestamptz', { name: 'saved_at' })
  savedAt!: Date;

  @Column('uuid', { name: 'saved_by', nullable: true })
  savedBy!: string | null;
}
