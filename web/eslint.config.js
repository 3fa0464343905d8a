import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(
  { ignores: ["dist", "src/api/generated"] },
  js.configs.recommended,
  ...ts.configs.strict,
  hooks.configs.flat["recommended-latest"],
  {
    // The service worker runs outside the page, and its build's names stand in it.
    files: ["keeper/*.js"],
    languageOptions: {
      globals: Object.fromEntries(
        ["self", "caches", "fetch", "Request", "Response", "URL", "AbortController", "setTimeout", "clearTimeout"]
          .concat("__FILES__")
          .map((name) => [name, "readonly"]),
      ),
    },
  },
);
