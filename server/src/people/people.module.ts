import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ClubModule } from '../club/club.module.js';
import { InvitationsController } from './invitations.controller.js';
import { InvitationsService } from './invitations.service.js';
import { PeopleController } from './people.controller.js';
import { PeopleService } from './people.service.js';
import { PersonEntity } from './person.entity.js';
import { SessionController } from './session.controller.js';
import { SignInTriesService } from './sign-in-tries.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([PersonEntity]), ClubModule],
  controllers: [SessionController, PeopleController, InvitationsController],
  providers: [PeopleService, InvitationsService, SignInTriesService],
  exports: [PeopleService, SignInTriesService],
})
export class PeopleModule {}
