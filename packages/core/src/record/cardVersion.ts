/** Version of the card's own shape. */
export const CARD_VERSION = 1;
