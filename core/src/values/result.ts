/** The answer of a function whose caller can cause a refusal: a value, or an error that carries facts, never a sentence. */
export type Result<Value, Refusal> = { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly error: Refusal };

export function accepted<Value>(value: Value): { readonly ok: true; readonly value: Value } {
  return { ok: true, value };
}

export function refused<Refusal>(error: Refusal): { readonly ok: false; readonly error: Refusal } {
  return { ok: false, error };
}
