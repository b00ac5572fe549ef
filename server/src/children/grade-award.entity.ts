import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('grade_award')
export class GradeAwardEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'child_id' })
  childId!: string;

  @Column('uuid', { name: 'grade_id' })
  gradeId!: string;

  @Column('date', { name: 'awarded_on' })
  awardedOn!: string;

  @Column('uuid', { name: 'awarded_by', nullable: true })
  awardedBy!: string | null;
}
