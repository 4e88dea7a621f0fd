import type { ElementHandle, Page } from 'puppeteer-core';

/**
 * Times of the keystroke-level model, s: Card, Moran, Newell, "The keystroke-level model for user performance
 * time with interactive systems", Communications of the ACM 23 (1980), from memory. A key pressed by an
 * average typist who is no secretary, a pointing, and the thought before an answer; a key on glass takes
 * longer (from memory).
 */
export const KEY = 0.28;
const KEY_ON_GLASS = 0.5;
export const POINT = 1.1;
export const THINK = 1.35;

const FOCUSABLE = 'button, a[href], input, select, textarea, summary, [tabindex="0"]';

/** What is not on the screen by then does not come: a page from cold on a machine that others work on takes ten seconds. */
const PATIENCE_MS = 25_000;

/** A person at the first visit: what they do on the screen, and how long that would take them. */
export abstract class Hand {
  /** Seconds by the keystroke-level model, without talking, measuring or waiting. */
  seconds = 0;
  answers = 0;

  constructor(protected readonly page: Page) {}

  /** Brings the hand to something that can be typed into or pressed. */
  protected abstract come(el: ElementHandle<HTMLElement>): Promise<void>;
  protected abstract press(el: ElementHandle<HTMLElement>): Promise<void>;
  /** Marks what stands in the field and types over it. */
  protected abstract over(text: string): Promise<void>;
  /** Opens a list and takes one of it. */
  protected abstract take(el: ElementHandle<HTMLElement>, title: string): Promise<void>;
  /** Leaves the field, which takes its answer. */
  abstract leave(): Promise<void>;
  /** Goes to another stage. */
  abstract go(stage: string): Promise<void>;

  /** Presses a button, a tick, a switch. */
  async touch(selector: string, nth = 0): Promise<void> {
    this.thought();
    await this.press(await this.find(selector, nth));
  }

  /** Types a figure or words over what a field holds; the field by its label, the how-manieth of that label. */
  async fill(label: string, text: string, nth = 0): Promise<void> {
    this.thought();
    await this.come(await this.field(label, nth));
    await this.over(text);
  }

  async choose(label: string, title: string, nth = 0): Promise<void> {
    this.thought();
    await this.take(await this.field(label, nth), title);
  }

  /** Adds an animal by its name, and says how many. */
  async animal(name: string, count?: string): Promise<void> {
    this.thought();
    await this.come(await this.field('Add an animal by its name', 0));
    await this.typed(name);
    await this.page.waitForFunction(
      (n) =>
        [...document.querySelectorAll('.v-autocomplete__content .v-list-item-title')].some(
          (e) => e.textContent === n,
        ),
      {},
      name,
    );
    await this.firstOfList();
    await this.page.waitForSelector(`[data-animal="${name.toLowerCase().replace(/[ .]+/g, '-')}"]`);
    if (count) await this.fill(`how many ${name}`, count);
  }

  /** A photograph, by the file dialogue of the browser. */
  async picture(file: string): Promise<void> {
    this.thought();
    const [chooser] = await Promise.all([
      this.page.waitForFileChooser(),
      this.find('[data-test="add-picture"]', 0).then((el) => this.press(el)),
    ]);
    await chooser.accept([file]);
    await this.page.waitForSelector('.strip img');
  }

  protected abstract firstOfList(): Promise<void>;

  /** Waits for what is looked for; what is folded away is not there. */
  protected async find(selector: string, nth: number): Promise<ElementHandle<HTMLElement>> {
    const found = await this.page.waitForFunction(
      (s, n) => [...document.querySelectorAll<HTMLElement>(s)].filter((e) => e.getClientRects().length)[n],
      {},
      selector,
      nth,
    );
    return found as ElementHandle<HTMLElement>;
  }

  private async field(label: string, nth: number): Promise<ElementHandle<HTMLElement>> {
    const found = await this.page
      .waitForFunction(
        (name, n) =>
          [...document.querySelectorAll<HTMLInputElement>('.v-input input, .v-input textarea')]
            .filter((e) => e.getClientRects().length > 0 && !e.matches('.v-textarea__sizer'))
            .filter((e) => {
              const labels = [...e.closest('.v-input')!.querySelectorAll('label')];
              return e.ariaLabel === name || labels.some((l) => l.textContent?.trim() === name);
            })[n],
        { timeout: PATIENCE_MS },
        label,
        nth,
      )
      .catch(() => undefined);
    if (!found) throw new Error(`There is no field "${label}" (${nth + 1}) on the screen.`);
    return found as ElementHandle<HTMLElement>;
  }

  /** Waits until a list shows what was taken of it. */
  protected async taken(el: ElementHandle<HTMLElement>, title: string): Promise<void> {
    await this.page.waitForFunction(
      (e, t) => e.closest('.v-input')!.textContent!.includes(t),
      { timeout: PATIENCE_MS },
      el,
      title,
    );
  }

  protected thought(): void {
    this.seconds += THINK;
    this.answers += 1;
  }

  protected async key(name: Parameters<Page['keyboard']['press']>[0]): Promise<void> {
    this.seconds += KEY;
    await this.page.keyboard.press(name);
  }

  protected async typed(text: string, each = KEY): Promise<void> {
    this.seconds += each * text.length;
    await this.page.keyboard.type(text);
  }
}

/** In the page: notes that something is clicked. */
function heard(el: HTMLElement): void {
  delete el.dataset.clicked;
  el.addEventListener('click', () => (el.dataset.clicked = ''), { capture: true, once: true });
}

/** In the page: whether it was clicked, or is gone by it, within some frames. */
async function isClicked(el: HTMLElement): Promise<boolean> {
  for (let frames = 0; frames < 40; frames++) {
    if (!el.isConnected || el.dataset.clicked !== undefined) return true;
    await new Promise((resolve) => requestAnimationFrame(resolve));
  }
  return false;
}

/** In the page: whether it has the keyboard within some frames. */
async function isFocused(el: HTMLElement): Promise<boolean> {
  for (let frames = 0; frames < 40; frames++) {
    if (!el.isConnected || document.activeElement === el) return true;
    await new Promise((resolve) => requestAnimationFrame(resolve));
  }
  return false;
}

/** One finger on a tablet. */
export class Finger extends Hand {
  private async tap(el: ElementHandle<HTMLElement>): Promise<void> {
    const { x, y, swiped } = await el.evaluate(atRest);
    this.seconds += swiped ? 2 * POINT : POINT;
    await this.page.touchscreen.tap(x, y);
  }

  /** A finger that missed, since what it was about to touch moved at that moment, touches again. */
  private async until(el: ElementHandle<HTMLElement>, met: typeof isFocused): Promise<void> {
    for (let tries = 0; tries < 3; tries++) {
      await el.evaluate(heard);
      await this.tap(el);
      // What led away from its page was met.
      if (await el.evaluate(met).catch(() => true)) return;
    }
    throw new Error('touched three times, and nothing there took it');
  }

  protected come(el: ElementHandle<HTMLElement>): Promise<void> {
    return this.until(el, isFocused);
  }

  protected press(el: ElementHandle<HTMLElement>): Promise<void> {
    return this.until(el, isClicked);
  }

  protected async over(text: string): Promise<void> {
    const stands = await this.page.evaluate(() => {
      const { selectionStart, selectionEnd } = document.activeElement as HTMLInputElement;
      if (selectionStart === null) return 'picker';
      return selectionStart === selectionEnd ? 'caret' : 'marked';
    });
    if (stands === 'caret') await this.clear();
    // A tablet has a picker for days and hours, which is not here: their parts are typed from the first on.
    if (stands === 'picker') for (let i = 0; i < 5; i++) await this.page.keyboard.press('ArrowLeft');
    await this.typed(text, KEY_ON_GLASS);
  }

  /** Words keep their caret: what stood there is taken away letter by letter. */
  private async clear(): Promise<void> {
    const letters = await this.page.evaluate(
      () => (document.activeElement as HTMLInputElement).value?.length ?? 0,
    );
    await this.page.keyboard.press('End');
    for (let i = 0; i < letters; i++) await this.page.keyboard.press('Backspace');
    this.seconds += letters > 0 ? POINT : 0;
  }

  protected async take(el: ElementHandle<HTMLElement>, title: string): Promise<void> {
    const listed = `::-p-xpath(//*[contains(@class,"v-overlay--active")]//*[contains(@class,"v-list-item-title")][normalize-space()="${title}"])`; // prettier-ignore
    // A list that did not open is pressed once more: the page was still being laid out. One that is open would be closed.
    let item: ElementHandle | null = null;
    for (let i = 0; i < 4 && !item; i++) {
      if (!(await this.page.$('.v-overlay--active'))) await this.tap(el);
      item = await this.page.waitForSelector(listed, { timeout: 6_000 }).catch(() => null);
    }
    if (!item) throw new Error(`no list has "${title}"`);
    await this.press(item as ElementHandle<HTMLElement>);
    await this.page.waitForSelector('.v-overlay--active', { hidden: true });
    await this.taken(el, title);
  }

  protected async firstOfList(): Promise<void> {
    const item = await this.page.waitForSelector('.v-autocomplete__content .v-list-item');
    await this.press(item as ElementHandle<HTMLElement>);
  }

  async go(stage: string): Promise<void> {
    this.thought();
    // A telephone has another list of them than a tablet: the one that is seen is pressed.
    const link = await this.page.waitForFunction(
      (title) =>
        [...document.querySelectorAll<HTMLElement>('nav[aria-label^="Stages"] a')].find(
          (a) => a.getClientRects().length > 0 && a.textContent!.includes(title),
        ),
      {},
      stage,
    );
    await this.press(link as ElementHandle<HTMLElement>);
  }

  async leave(): Promise<void> {
    await this.press(await this.find('h1', 0));
  }
}

/**
 * In the page: brings something into sight, a swipe where it was not, and waits until it has stood still for
 * some frames, as an eye does before the finger comes down. Its middle, px.
 */
async function atRest(el: HTMLElement): Promise<{ x: number; y: number; swiped: boolean }> {
  const first = el.getBoundingClientRect();
  const swiped = first.top < 60 || first.bottom > window.innerHeight - 10;
  if (swiped) el.scrollIntoView({ block: 'center' });
  let [still, last] = [0, ''];
  const sheet = el.closest<HTMLElement>('.v-overlay__content');
  while (still < 4) {
    await new Promise((frame) => requestAnimationFrame(frame));
    const now = JSON.stringify(el.getBoundingClientRect());
    // A list that is still opening lets every press through, even where nobody sees it move.
    still = now === last && sheet?.style.pointerEvents !== 'none' ? still + 1 : 0;
    last = now;
  }
  const { x, y, width, height } = el.getBoundingClientRect();
  return { x: x + width / 2, y: y + height / 2, swiped };
}

/** Ten fingers on a keyboard, and no pointer. */
export class Keyboard extends Hand {
  protected async come(el: ElementHandle<HTMLElement>): Promise<void> {
    const target = (await el.evaluateHandle(
      (e, focusable) => (e.matches(focusable) ? e : e.querySelector(focusable)),
      FOCUSABLE,
    )) as ElementHandle<HTMLElement>;
    const there = () => target.evaluate((e) => document.activeElement === e);
    const back = await target.evaluate(
      (e) =>
        document.activeElement !== document.body &&
        Boolean(document.activeElement!.compareDocumentPosition(e) & Node.DOCUMENT_POSITION_PRECEDING),
    );
    for (let i = 0; i < 300; i++) {
      if (await there()) return;
      if (back) await this.page.keyboard.down('Shift');
      await this.key('Tab');
      if (back) await this.page.keyboard.up('Shift');
    }
    throw new Error(`Tab does not reach ${await target.evaluate((e) => e.outerHTML.slice(0, 120))}`);
  }

  protected async press(el: ElementHandle<HTMLElement>): Promise<void> {
    await this.come(el);
    const box = await this.page.evaluate(() => document.activeElement?.matches('[type="checkbox"]'));
    await this.key(box ? 'Space' : 'Enter');
  }

  protected async over(text: string): Promise<void> {
    await this.chord('Control', 'a');
    await this.typed(text);
    await this.key('Tab');
  }

  protected async firstOfList(): Promise<void> {
    await this.intoList();
    await this.key('Enter');
  }

  /** Down into a list that opens; once more where it had not opened yet, as a person would. */
  private async intoList(): Promise<void> {
    for (let tries = 0; tries < 8; tries++) {
      await this.key('ArrowDown');
      const within = await this.page
        .waitForFunction(() => document.activeElement?.matches('.v-overlay--active .v-list-item'), {
          timeout: 500,
        })
        .catch(() => undefined);
      if (within) return;
    }
    throw new Error('the list does not take the keyboard');
  }

  protected async take(el: ElementHandle<HTMLElement>, title: string): Promise<void> {
    await this.come(el);
    await this.intoList();
    const here = () =>
      this.page.evaluate(() => {
        const item = document.activeElement!;
        return (item.querySelector('.v-list-item-title') ?? item).textContent?.trim();
      });
    for (let i = 0; (await here()) !== title; i++) {
      if (i > 20) throw new Error(`"${title}" is not in the list`);
      await this.key('ArrowDown');
    }
    await this.key('Enter');
    await this.page.waitForSelector('.v-overlay--active', { hidden: true });
    await this.taken(el, title);
  }

  async leave(): Promise<void> {
    await this.key('Tab');
  }

  async go(stage: string): Promise<void> {
    this.thought();
    await this.chord('Control', 'k');
    await this.page.waitForSelector('[role="dialog"] input');
    await this.typed(`Go to ${stage}`);
    await this.key('Enter');
    await this.page.waitForSelector('[role="dialog"] input', { hidden: true });
  }

  private async chord(hold: 'Control', key: 'a' | 'k'): Promise<void> {
    await this.page.keyboard.down(hold);
    await this.key(key);
    await this.page.keyboard.up(hold);
  }
}
