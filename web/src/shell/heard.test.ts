// @vitest-environment jsdom
import { afterEach, describe, expect, it } from "vitest";
import { hearsHere, keyHeard, listen } from "./heard";

class Ear {
  static now: Ear;
  static answer = "available";
  static available = () => Promise.resolve(Ear.answer);
  started = 0;
  processLocally = false;
  onresult?: (e: unknown) => void;
  onend?: () => void;
  constructor() {
    Ear.now = this;
  }
  start() {
    this.started++;
  }
  abort() {
    this.onend?.();
  }
  hear(transcript: string) {
    this.onresult?.({ resultIndex: 0, results: [[{ transcript }]] });
  }
}

const put = (kind: unknown) => Object.assign(window, { SpeechRecognition: kind });

describe("what is said at the bench", () => {
  afterEach(() => put(undefined));

  it("counts as a word by itself and not in the middle of talk", () => {
    expect(keyHeard(" Done. ")).toBe("PageDown");
    expect(keyHeard("yes")).toBe("PageDown");
    expect(keyHeard("No")).toBe("n");
    expect(keyHeard("note")).toBe(".");
    for (const said of ["no way", "are you done", "notes", "", "constructor"]) expect(keyHeard(said)).toBeUndefined();
  });

  it("is heard only where the browser recognises it by itself", async () => {
    expect(await hearsHere()).toBe(false);
    put({});
    expect(await hearsHere()).toBe(false);
    put(Ear);
    Ear.answer = "downloadable";
    expect(await hearsHere()).toBe(false);
    Ear.answer = "available";
    expect(await hearsHere()).toBe(true);
  });

  it("is listened to across silences until it is enough", () => {
    put(Ear);
    const keys: string[] = [];
    const enough = listen((k) => keys.push(k));
    const ear = Ear.now;
    expect(ear.processLocally).toBe(true);
    ear.hear("done");
    ear.hear("pass me the block");
    ear.onend?.();
    expect(ear.started).toBe(2);
    enough();
    expect(ear.started).toBe(2);
    ear.hear("done");
    expect(keys).toEqual(["PageDown"]);
  });
});
