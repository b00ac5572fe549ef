import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('syllabus')
export class SyllabusEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('uuid', { name: 'programme_id' })
  programmeId!: string;

  @Column('integer')
  version!: number;

  /** Null for a version that ships. */
  @Column('uuid', { name: 'made_by', nullable: true })
  madeBy!: string | null;
}
