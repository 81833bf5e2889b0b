// What happened stands at the foot for ten seconds.
const STAYS = 10000;
let timer;

function fade() {
  clearTimeout(timer);
  const foot = document.querySelector("#foot");
  if (foot && foot.textContent) timer = setTimeout(() => foot.replaceChildren(), STAYS);
}

document.addEventListener("DOMContentLoaded", fade);
document.addEventListener("htmx:afterSettle", fade);
document.addEventListener("htmx:oobAfterSwap", fade);
fade();

// A request that failed says so; whatever is on the page, typed or not, stays.
function failed(what) {
  document.querySelector("#foot").textContent = what;
  fade();
}

document.addEventListener("htmx:responseError", (event) =>
  failed(`That was not done (${event.detail.xhr.status}). What you typed is still here; reload the page in another tab and try again.`),
);
document.addEventListener("htmx:sendError", () => failed("Osmerin does not answer. What you typed is still here; try again in a moment."));
