import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ClubModule } from '../club/club.module.js';
import { PeopleController } from './people.controller.js';
import { PeopleService } from './people.service.js';
import { PersonEntity } from './person.entity.js';
import { SessionController } from './session.controller.js';

@Module({
  imports: [TypeOrmModule.forFeature([PersonEntity]), ClubModule],
  controllers: [SessionController, PeopleController],
  providers: [PeopleService],
  exports: [PeopleService],
})
export class PeopleModule {}
