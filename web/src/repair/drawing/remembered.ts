const KEPT = new WeakMap<object, Map<string, unknown>>();

/** What {@code make} makes of {@code of}, once for each {@code key}: a drawing that comes back is not worked out again. */
export function remembered<T>(of: object, key: string, make: () => T): T {
  const all = KEPT.get(of) ?? new Map<string, unknown>();
  KEPT.set(of, all);
  if (!all.has(key)) all.set(key, make());
  return all.get(key) as T;
}
