/** Keys rest for so long after one was pressed: a wet glove that bounces pours once, ms. */
const REST_MS = 300;

let over: ReturnType<typeof setTimeout> | undefined;

/** Every key looks pressed and takes no touch until it has rested; at once, without anything being drawn anew. */
export function restKeys(): void {
  document.documentElement.dataset.resting = '';
  clearTimeout(over);
  over = setTimeout(() => delete document.documentElement.dataset.resting, REST_MS);
}
