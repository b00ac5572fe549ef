import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('grade')
export class GradeEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'syllabus_id' })
  syllabusId!: string;

  @Column('integer')
  position!: number;

  @Column('text')
  slug!: string;

  @Column('text')
  name!: string;

  @Column('integer', { name: 'least_weeks_in_grade' })
  leastWeeksInGrade!: number;

  @Column('integer', { name: 'least_classes' })
  leastClasses!: number;

  @Column('integer', { name: 'least_age_years' })
  leastAgeYears!: number;

  @Column('boolean', { name: 'is_put_away', default: false })
  isPutAway!: boolean;
}
