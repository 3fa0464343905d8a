const MADE = new Map<string, Intl.DateTimeFormat>();

/** How days and times are said. One is kept for each way of saying: making it takes longer than many uses of it. */
export function dated(locale: string, how: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${locale} ${JSON.stringify(how)}`;
  let made = MADE.get(key);
  if (!made) {
    made = new Intl.DateTimeFormat(locale, how);
    MADE.set(key, made);
  }
  return made;
}
