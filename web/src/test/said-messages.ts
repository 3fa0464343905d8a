import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import ts from "typescript";

const ROOT = "src";

/** Where a message is said and with which values. */
export interface Said {
  files: string[];
  values: string[];
}

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((f) =>
    f.isDirectory()
      ? sources(join(folder, f.name))
      : /\.tsx?$/.test(f.name) && !/\.test\./.test(f.name)
        ? [join(folder, f.name)]
        : [],
  );

/** Every message that the screens say, by its English, out of their source; and what is wrong with how one is said. */
export function saidMessages(): { messages: Map<string, Said>; faults: string[] } {
  const messages = new Map<string, Said>();
  const faults: string[] = [];
  for (const path of sources(ROOT)) {
    const file = relative(ROOT, path);
    const source = ts.createSourceFile(path, readFileSync(path, "utf8"), ts.ScriptTarget.Latest, true);
    const look = (node: ts.Node): void => {
      const [message, values] = ts.isCallExpression(node) && node.expression.getText() === "msg" ? node.arguments : [];
      if (message && !ts.isStringLiteralLike(message))
        faults.push(`${file}: not a message in full: ${message.getText()}`);
      if (message && ts.isStringLiteralLike(message)) {
        const had = messages.get(message.text);
        const given =
          values === undefined
            ? []
            : ts.isObjectLiteralExpression(values)
              ? values.properties.map((p) => p.name?.getText() ?? "")
              : undefined;
        messages.set(message.text, {
          files: [...new Set([...(had?.files ?? []), file])],
          values: given ?? had?.values ?? [...message.text.matchAll(/\{(\w+)/g)].map((m) => m[1] ?? ""),
        });
      }
      ts.forEachChild(node, look);
    };
    look(source);
  }
  return { messages, faults };
}
