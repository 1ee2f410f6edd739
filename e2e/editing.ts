import { t as editor } from '@jasperwren/words/editor';
import { t as standards } from '@jasperwren/words/standards';
import { expect, type Locator, type Page } from '@playwright/test';

/** The editor of standards as a person works it: what is underlined is touched, written or chosen. Counts the touches. */
export class Editing {
  /** Touches so far: a click, or something typed and entered. */
  touches = 0;

  constructor(readonly page: Page) {}

  /** A phrase of the sentences, by what it says. */
  phrase(label: string, within: Page | Locator = this.page): Locator {
    return within.getByRole('button', { name: new RegExp(`^${label.replace(/[()]/g, '\\$&')}: `) }).first();
  }

  async click(what: Locator): Promise<void> {
    await what.click();
    this.touches += 1;
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    await this.page.keyboard.press('Enter');
    this.touches += 1;
  }

  /** Leaves a list or a search. */
  async leave(): Promise<void> {
    await this.page.keyboard.press('Escape');
    await expect(this.page.getByRole('menu')).toHaveCount(0);
    this.touches += 1;
  }

  button = (name: string, within: Page | Locator = this.page) => within.getByRole('button', { name, exact: true });

  /** Writes a phrase anew. */
  async write(label: string, text: string, within?: Locator): Promise<void> {
    await this.click(this.phrase(label, within));
    await this.type(text);
    await expect(this.page.getByRole('textbox', { name: label, exact: true })).toHaveCount(0);
  }

  /** Chooses another value of a phrase. */
  async choose(label: string, value: string, within?: Locator): Promise<void> {
    await this.click(this.phrase(label, within));
    await this.click(this.page.getByRole('menuitem', { name: value, exact: true }));
    await expect(this.page.getByRole('menu')).toHaveCount(0);
  }

  /** Touches some of a list that has been opened, and leaves it. */
  async check(...names: readonly string[]): Promise<void> {
    for (const name of names) await this.click(this.page.getByRole('menuitemcheckbox', { name, exact: true }));
    await this.leave();
  }

  /** Looks behaviours of the catalogue up, one after the other, and takes each in. */
  async search(label: string, ...behaviours: readonly string[]): Promise<void> {
    await this.click(this.button(label));
    for (const behaviour of behaviours) {
      await this.page.keyboard.type(behaviour);
      await expect(this.page.getByRole('option').first()).toContainText(behaviour);
      await this.page.keyboard.press('Enter');
      this.touches += 1;
    }
    await this.leave();
  }

  area = (name: string) => this.page.getByRole('group', { name: editor('areaName', { name }), exact: true });
  limit = (name: string) =>
    this.page.getByRole('listitem', { name: editor('limitLimit', { limit: name }), exact: true });

  /** How much a limit allows. */
  allow = (limit: string, n: number) =>
    this.write(editor('ofNamed', { what: editor('allowed'), name: limit }), String(n), this.limit(limit));

  /** Opens what a fault type says of itself. */
  async open(item: string, area: string): Promise<Locator> {
    await this.click(this.button(item, this.area(area)));
    return this.area(area).getByRole('group', { name: item, exact: true });
  }
}

/** Begins a standard from nothing. */
export async function beginBlank(page: Page, name: string): Promise<Editing> {
  const editing = new Editing(page);
  await page.goto('/standards');
  await editing.click(page.getByRole('button', { name: standards('newStandard') }));
  await page.getByLabel(standards('name')).waitFor();
  await editing.type(name);
  await page.getByRole('heading', { level: 1, name }).waitFor();
  return editing;
}
