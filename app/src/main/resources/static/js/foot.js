// What happened stands at the foot for ten seconds.
const STAYS = 10000;
let timer;

function fade() {
  clearTimeout(timer);
  const foot = document.querySelector("#foot");
  if (foot?.firstElementChild) timer = setTimeout(() => foot.replaceChildren(), STAYS);
}

/** Says something at the foot of the page. */
export function say(what) {
  const line = document.createElement("div");
  line.className = "foot-line";
  line.textContent = what;
  document.querySelector("#foot")?.replaceChildren(line);
  fade();
}

document.addEventListener("DOMContentLoaded", fade);
document.addEventListener("htmx:afterSettle", fade);
document.addEventListener("htmx:oobAfterSwap", fade);
fade();

// A request that failed says so; whatever is on the page, typed or not, stays.
document.addEventListener("htmx:responseError", (event) => {
  const { xhr } = event.detail;
  const words = new DOMParser().parseFromString(xhr.responseText, "text/html").querySelector("main [role=alert]")?.textContent;
  say(`That was not done (${xhr.status}). ${words ?? "What you typed is still here; reload the page in another tab and try again."}`);
});
document.addEventListener("htmx:sendError", () => say("Osmerin does not answer. What you typed is still here; try again in a moment."));
