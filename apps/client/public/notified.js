/* Runs in the service worker when a notification is touched: opens its address in the open page, or in a new page. */
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
