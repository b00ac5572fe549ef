/** Puts several property decorators on one property, in their order. */
export function applyDecorators(...decorators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, property) => {
    for (const decorate of decorators) decorate(target, property);
  };
}
