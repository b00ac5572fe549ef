import { QueryFailedError, QueryRunnerProviderAlreadyReleasedError, TransactionNotStartedError } from 'typeorm';
import { describe, expect, it } from 'vitest';
import { databaseFaultOf } from '../src/http/database-fault.js';

const failed = (code: string): QueryFailedError => new QueryFailedError('INSERT', [], Object.assign(new Error('refused'), { code }));

describe('what passes by itself', () => {
  it.each([
    ['a connection that died within a transaction', new QueryRunnerProviderAlreadyReleasedError()],
    ['a transaction that ended with it', new TransactionNotStartedError()],
    ['a full disk', failed('53100')],
    ['a deadlock', failed('40P01')],
    ['a server that shuts down', failed('57P01')],
    ['a way that is cut', new AggregateError([Object.assign(new Error('no'), { code: 'ECONNREFUSED' })])],
  ])('%s is sent again', (_, error) => {
    expect(databaseFaultOf(error)).toEqual({ kind: 'passing' });
  });

  it('is not what the request is at fault for, nor what is nobody’s', () => {
    expect(databaseFaultOf(failed('22P02'))).toEqual({ kind: 'unfit' });
    expect(databaseFaultOf(failed('23503'))).toEqual({ kind: 'gone' });
    expect(databaseFaultOf(new TypeError('of ours'))).toBeNull();
  });
});
