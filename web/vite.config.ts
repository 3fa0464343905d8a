import { createHash } from "node:crypto";
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { brotliCompressSync } from "node:zlib";
import { parse } from "@formatjs/icu-messageformat-parser";
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";

/** Writes the service worker with the names of everything that was built; their names change with what is in them, and its version with them. */
function keeper(): Plugin {
  return {
    name: "keeper",
    apply: "build",
    generateBundle(_, bundle) {
      const files = [
        ...Object.keys(bundle).filter((f) => f.startsWith("assets/") && !f.endsWith(".woff")),
        "mark.svg",
        "app.webmanifest",
      ]
        .sort()
        .map((f) => `/${f}`);
      const source = readFileSync(new URL("keeper/sw.js", import.meta.url), "utf8");
      const version = createHash("sha256")
        .update(source + files.join())
        .digest("hex")
        .slice(0, 12);
      this.emitFile({
        type: "asset",
        fileName: "sw.js",
        source: source.replace("__VERSION__", version).replace("__FILES__", JSON.stringify(files)),
      });
    },
  };
}

const PARSED = /^virtual:parsed-messages\/(en|de)$/;

/**
 * Messages that count (one step, three steps) are parsed at the build, and the parser stays here: a screen has only what fills them in. What merely
 * holds values is filled in as it stands.
 */
function parsedMessages(): Plugin {
  return {
    name: "parsed-messages",
    enforce: "pre",
    resolveId(id, importer) {
      if (PARSED.test(id)) return `\0${id}`;
      const parser = id === "@formatjs/icu-messageformat-parser" && /intl-messageformat/.test(importer ?? "");
      return parser ? this.resolve("@formatjs/icu-messageformat-parser/no-parser.js", importer) : undefined;
    },
    load(id) {
      const language = PARSED.exec(id.slice(1))?.[1];
      if (!language) return undefined;
      const file = fileURLToPath(new URL(`src/messages/${language}.json`, import.meta.url));
      this.addWatchFile(file);
      const catalogue = JSON.parse(readFileSync(file, "utf8")) as Record<string, unknown>;
      const said = language === "en" ? Object.keys(catalogue) : (Object.values(catalogue) as string[]);
      const counting = said.filter((m) => /\{\w+, (?:plural|select)/.test(m));
      return `export default ${JSON.stringify(Object.fromEntries(counting.map((m) => [m, parse(m, { ignoreTag: true })])))};`;
    },
  };
}

/** Packs what is text as tightly as it goes, once: the server sends it as it lies, and a first page comes sooner. */
function packed(): Plugin {
  return {
    name: "packed",
    apply: "build",
    writeBundle({ dir = "dist" }, bundle) {
      for (const [file, { type, ...made }] of Object.entries(bundle)) {
        if (!/\.(js|css|svg)$/.test(file) || file === "sw.js") continue;
        const source =
          type === "chunk" ? (made as { code: string }).code : (made as { source: string | Uint8Array }).source;
        writeFileSync(join(dir, `${file}.br`), brotliCompressSync(source));
      }
    },
  };
}

export default defineConfig({
  plugins: [parsedMessages(), react(), tailwindcss(), keeper(), packed()],
  // The content policy allows no data: addresses.
  build: { assetsInlineLimit: 0, target: "es2023", chunkSizeWarningLimit: 700 },
  server: { proxy: { "/api": "http://127.0.0.1:8080" } },
});
