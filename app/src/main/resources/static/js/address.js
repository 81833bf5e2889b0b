// A form that leads to another page takes the address bar along, so that a reload and the back button
// tell the truth; htmx itself follows the redirect without a word.
document.addEventListener("htmx:afterSettle", (event) => {
  const { xhr, requestConfig, target } = event.detail;
  if (requestConfig?.verb !== "post" || target?.id !== "main" || xhr.status !== 200 || !xhr.responseURL) return;
  const there = new URL(xhr.responseURL);
  const path = there.pathname + there.search;
  if (there.origin !== location.origin || path === location.pathname + location.search) return;
  // htmx restores only pages whose entry says that they are its own.
  history.replaceState({ ...history.state, htmx: true }, "");
  history.pushState({ htmx: true }, "", path);
});
