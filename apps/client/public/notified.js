/* What the worker of the shell does when somebody touches a notification: the page that is open goes there, else one opens. */
self.addEventListener('notificationclick', (event) => {
  const { notification } = event;
  const path = notification.data.path;
  notification.close();
  const go = async () => {
    const [page] = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
    if (!page) return self.clients.openWindow(path);
    page.postMessage({ goTo: path });
    return page.focus();
  };
  event.waitUntil(go());
});
