/** What somebody is called at the bench. */
export const firstName = (name: string) => name.split(" ")[0] ?? name;
