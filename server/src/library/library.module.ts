import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LibraryController } from './library.controller.js';
import { LibraryImportService } from './library-import.service.js';
import { LibraryService } from './library.service.js';
import { PhrasesService } from './phrases.service.js';
import { MovementEntity } from './movement.entity.js';

@Module({
  imports: [TypeOrmModule.forFeature([MovementEntity])],
  controllers: [LibraryController],
  providers: [LibraryService, LibraryImportService, PhrasesService],
  exports: [LibraryService, LibraryImportService],
})
export class LibraryModule {}
