import { Module } from '@nestjs/common';
import { LanDoorService } from './lan-door.service.js';
import { RemoteController } from './remote.controller.js';
import { RemoteLinksService } from './remote-links.service.js';
import { StageService } from './stage.service.js';

@Module({ controllers: [RemoteController], providers: [LanDoorService, RemoteLinksService, StageService] })
export class RemoteModule {}
