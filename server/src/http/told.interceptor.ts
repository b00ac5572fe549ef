import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { mergeMap, type Observable } from 'rxjs';
import { NoticesService } from '../database/notices.service.js';

/**
 * A request that changed something is answered once this process has been told of it: whoever asks next, a person put away a
 * moment ago among them, is not answered from what was kept before.
 */
@Injectable()
export class ToldInterceptor implements NestInterceptor {
  constructor(private readonly notices: NoticesService) {}

  intercept(context: ExecutionContext, next: CallHandler<unknown>): Observable<unknown> {
    const { method } = context.switchToHttp().getRequest<Request>();
    if (method === 'GET' || method === 'HEAD') return next.handle();
    return next.handle().pipe(
      mergeMap(async (answer) => {
        await this.notices.allTold();
        return answer;
      }),
    );
  }
}
