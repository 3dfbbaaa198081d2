/** Whether the browser lets this page show notes outside of it; null where it has none. */
export const notePermission = (): NotificationPermission | null =>
  'Notification' in window && isSecureContext ? Notification.permission : null;

/** Asks for that; only after a tap. */
export const askForNotes = async (): Promise<void> => void (await Notification.requestPermission());

/** Shows a note outside the page, one for each tag. Returns what takes it away. */
export function showNote(title: string, tag: string): () => void {
  if (notePermission() !== 'granted') return () => undefined;
  const options = { tag, requireInteraction: true, icon: '/mark-192.png' };
  let taken = false;
  let take = (): void => undefined;
  void (async () => {
    // A phone shows notes only through what keeps the screens.
    const registration = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
    if (taken) return;
    if (registration) {
      await registration.showNotification(title, options);
      take = () =>
        void registration.getNotifications({ tag }).then((notes) => notes.forEach((note) => note.close()));
    } else {
      const note = new Notification(title, options);
      take = () => note.close();
    }
    if (taken) take();
  })().catch(() => undefined);
  return () => {
    taken = true;
    take();
  };
}
