/** Version of the event's own shape. An event once written is never rewritten; a reader knows every version. */
export const EVENT_VERSION = 1;
