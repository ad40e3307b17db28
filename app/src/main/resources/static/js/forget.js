// Whoever logs out leaves no pages on the device; notes that were not sent yet stay.
(async () => {
  for (const name of await caches.keys()) {
    await caches.delete(name);
  }
  document.getElementById("forgot").hidden = false;
})();
