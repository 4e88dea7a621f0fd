import type { Page } from 'puppeteer-core';
import { KEY, POINT, THINK } from './briefs/hand';

/** What somebody did on a page: presses of the mouse, keys, and how long that would take them. */
export interface Acts {
  presses: number;
  keys: number;
  /** By the keystroke-level model, each press thought about; without waiting or measuring. */
  minutes(): number;
}

/** Counts every press and key of a page from now on. */
export function counted(page: Page): Acts {
  const acts: Acts = {
    presses: 0,
    keys: 0,
    minutes: () => (acts.presses * (POINT + THINK) + acts.keys * KEY) / 60,
  };
  const { mouse, keyboard } = page;
  const [click, type, press] = [mouse.click.bind(mouse), keyboard.type.bind(keyboard), keyboard.press.bind(keyboard)]; // prettier-ignore
  mouse.click = (...of) => (acts.presses++, click(...of));
  keyboard.type = (text, ...of) => ((acts.keys += text.length), type(text, ...of));
  keyboard.press = (...of) => (acts.keys++, press(...of));
  return acts;
}
