import type { Locator, Page } from '@playwright/test';

/** The keys of the step that is to be done, along the lower edge of a card. */
export const keysOf = (page: Page): Locator => page.getByRole('group', { name: 'Keys of this step' });
