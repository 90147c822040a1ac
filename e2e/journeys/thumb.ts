import { expect, type Locator, type Page } from '@playwright/test';

/** Taps what is in sight, never scrolling to it, and counts. */
export class Thumb {
  taps = 0;

  constructor(private readonly page: Page) {}

  async tap(control: Locator): Promise<void> {
    await expect(control).toBeVisible();
    const box = (await control.boundingBox())!;
    const { height } = this.page.viewportSize()!;
    expect(box.y, `${control} is in sight`).toBeGreaterThanOrEqual(0);
    expect(box.y + box.height, `${control} is in sight`).toBeLessThanOrEqual(height);
    await this.page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    this.taps += 1;
  }
}
