import { language, msg } from "../messages/messages";
import { prefer, preferred, type Language } from "../units/preferred";
import { Choice } from "./field";

const LANGUAGES: readonly { value: Language; label: string }[] = [
  { value: "en", label: "English" },
  { value: "de", label: "Deutsch" },
];

/** In what language this screen speaks. Another one loads the page anew: what was typed and done is kept beside it. */
export function LanguageChoice() {
  return (
    <div>
      <Choice
        label={msg("Language of this screen")}
        value={language}
        options={LANGUAGES}
        onChange={(chosen) => {
          prefer({ ...preferred(), language: chosen });
          window.location.reload();
        }}
      />
      {language !== "en" && (
        <p className="mt-1">
          {msg(
            "Run and Bench speak German, the rest is English still, as is what a draft lacks. Reviewed by nobody yet: where it reads oddly, the English holds.",
          )}
        </p>
      )}
    </div>
  );
}
