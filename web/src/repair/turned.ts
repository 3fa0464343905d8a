/** A copy of a map with one entry set, or taken out when there is no value. */
export function turned<K extends string>(
  map: Partial<Record<K, string>> | undefined,
  key: K,
  value: string | undefined,
) {
  const entries = Object.entries(map ?? {}).filter(([k]) => k !== key);
  return Object.fromEntries(value ? [...entries, [key, value]] : entries) as Record<K, string>;
}
