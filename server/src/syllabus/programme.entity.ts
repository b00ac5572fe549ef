import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

@Entity('programme')
export class ProgrammeEntity {
  @PrimaryGeneratedColumn('uuid')
  id!: string;

  @Column('uuid', { name: 'club_id' })
  clubId!: string;

  @Column('text')
  slug!: string;

  @Column('text')
  name!: string;

  @Column('text', { name: 'stretching_school' })
  stretchingSchool!: 'early-static' | 'dynamic-first';

  @Column('text', { name: 'starts_as' })
  startsAs!: string;
}
