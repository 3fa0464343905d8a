import "./styles.css";
import { QueryClientProvider } from "@tanstack/react-query";
import { setNonce } from "get-nonce";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { keptAnswers, keys, queryClient } from "./api/queries";
import { App } from "./app";
import { language } from "./messages/messages";
import { outbox } from "./repair/run/outbox";
import { keepApplication } from "./shell/application";
import { PreferencesProvider } from "./shell/preferences";

const nonce = document.querySelector<HTMLMetaElement>('meta[name="nonce"]')?.content;
if (nonce) setNonce(nonce);

// What was done is either still in the outbox or in the answers a later page opens with: never in neither.
void outbox.open(async (repair, run) => {
  queryClient.setQueryData(keys.run(repair), run);
  await keptAnswers.keep();
});
window.addEventListener("online", () => void outbox.flush());

document.documentElement.lang = language;
const root = document.getElementById("root");
if (!root) throw new Error("the page has no place to draw on");
await keptAnswers.restore();
keptAnswers.follow();
keepApplication();
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <PreferencesProvider>
        <App />
      </PreferencesProvider>
    </QueryClientProvider>
  </StrictMode>,
);
