// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { ApiError } from './api';
import { useServerForm } from './server-form';

const refusal = (...errors: readonly { readonly field: string; readonly message: string }[]): ApiError =>
  new ApiError(422, { type: 'about:blank', title: 'This does not fit', status: 422, errors });

describe('a form whose rules are the server’s', () => {
  it('says what is refused of a field it has there, what is refused of another for the whole, and can be sent again', async () => {
    const send = vi
      .fn<(values: { readonly name: string }) => Promise<void>>()
      .mockRejectedValueOnce(refusal({ field: 'name', message: 'A name.' }, { field: 'term.variants', message: 'By whom?' }))
      .mockResolvedValueOnce();
    const { result } = renderHook(() => {
      const { form, submit } = useServerForm({ name: 'Roll' }, send);
      form.register('name');
      return { errors: form.formState.errors, submit };
    });
    const press = () =>
      act(async () => {
        result.current.submit({ preventDefault: () => undefined });
        await Promise.resolve();
      });
    await press();
    await vi.waitFor(() => {
      expect([result.current.errors.name?.message, result.current.errors.root?.message]).toEqual(['A name.', 'term.variants: By whom?']);
    });
    await press();
    await vi.waitFor(() => {
      expect(send).toHaveBeenCalledTimes(2);
    });
    expect(result.current.errors).toEqual({});
  });
});
