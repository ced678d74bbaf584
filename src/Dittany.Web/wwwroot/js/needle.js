// Beside the hoop: the next step at once, its minutes measured, and sent when there is a connection. Nothing is lost and nothing counted
// twice: every step carries a mark of its own, and waits in this browser until it has arrived.
(() => {
  'use strict';
  const page = document.getElementById('needle');
  if (!page) { return; }

  const steps = [...page.querySelectorAll('.needle-step[data-i]')];
  const key = `needle-${page.dataset.piece}`;
  const read = (name, otherwise) => { try { return JSON.parse(localStorage.getItem(name)) ?? otherwise; } catch { return otherwise; } };
  const keep = (name, value) => { try { localStorage.setItem(name, JSON.stringify(value)); } catch { /* no storage: it is sent at once or said */ } };
  let queue = read(key, []);
  let shown = steps.findIndex((s) => !s.hidden);
  let reached = shown;
  let spent = 0, since = performance.now(), paused = false, sat = 0, sending = false;

  const clock = document.getElementById('needle-clock');
  const waits = document.getElementById('needle-waits');
  const tell = (text) => { waits.textContent = text; waits.hidden = !text; };
  const now = () => spent + (paused ? 0 : performance.now() - since);

  const show = (i, fresh) => {
    if (i < 0 || i >= steps.length) { return; }
    steps.forEach((s, k) => { s.hidden = k !== i; });
    shown = i;
    if (fresh) { spent = 0; since = performance.now(); }
    steps[i].querySelector('h1').focus({ preventScroll: true });
    window.scrollTo(0, 0);
  };

  const mark = () => ([...crypto.getRandomValues(new Uint8Array(12))].map((b) => b.toString(16).padStart(2, '0')).join(''));

  const send = async () => {
    if (sending) { return; }
    sending = true;
    while (queue.length > 0) {
      const next = queue[0];
      const token = page.querySelector('input[name="__RequestVerificationToken"]').value;
      let answer;
      try {
        answer = await fetch(`/needle/${page.dataset.piece}?handler=Done`, { method: 'POST', body: new URLSearchParams({ ...next, quiet: 'true', __RequestVerificationToken: token }) });
      } catch {
        tell(`${queue.length} ${queue.length === 1 ? 'step waits' : 'steps wait'} here and will be sent when there is a connection again.`);
        break;
      }

      if (answer.status >= 500) { break; }
      if (!answer.ok && answer.status !== 409 && answer.status !== 422) {
        // Not taken, and not lost: it waits here until the page is loaded again.
        tell('What you did is kept here but could not be sent: load the page again.');
        break;
      }

      if (answer.status === 422) {
        // Hard to believe: she says how long it was, or leaves it out.
        const asked = window.prompt(await answer.text(), '');
        next.minutes = asked && asked.trim() ? asked.trim() : '';
        next.sure = 'true';
        keep(key, queue);
        continue;
      }

      if (answer.status === 409) { tell(await answer.text()); } else if (answer.ok) { tell(''); }
      queue.shift();
      keep(key, queue);
    }
    sending = false;
  };

  const goOn = () => {
    const step = steps[shown];
    if (!step) { return; }
    // What was only looked back at is done already.
    if (shown < reached) { show(shown + 1, false); return; }
    reached = shown + 1;
    const typed = step.querySelector('input[name="minutes"]').value.trim();
    const minutes = typed || (now() / 60000).toFixed(2);
    // A step that was only glanced at was not worked: it is done, and no time is kept for it.
    const more = (name) => step.querySelector(`input[name="${name}"]`)?.value.trim() ?? '';
    queue.push({ step: step.dataset.id, once: mark(), minutes: !typed && now() < 3000 ? '' : minutes, left: more('left'), note: more('note') });
    keep(key, queue);
    sat += paused ? 0 : (performance.now() - since) / 60000;
    page.querySelector(`[data-map="${step.dataset.i}"]`)?.classList.add('worked');
    paused = false;
    pressed('needle-pause', false);
    if (shown + 1 < steps.length) { show(shown + 1, true); send(); } else { send().then(() => { if (queue.length === 0) { location.assign(`/needle/${page.dataset.piece}`); } }); }
    if (sat >= Number(page.dataset.break)) { sat = 0; tell('Look up into the distance for a minute, and shake out your hands.'); }
  };

  const pressed = (id, on) => document.getElementById(id)?.setAttribute('aria-pressed', on ? 'true' : 'false');
  const pause = () => {
    if (paused) { since = performance.now(); } else { spent += performance.now() - since; }
    paused = !paused;
    pressed('needle-pause', paused);
  };

  page.addEventListener('submit', (event) => {
    if (!event.target.matches('.needle-done')) { return; }
    event.preventDefault();
    goOn();
  });
  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || event.target.closest('input, textarea, select, dialog, summary')) { return; }
    const on = event.target.closest('a, button');
    if ((event.key === ' ' || event.key === 'Enter') && on) { return; }
    if ([' ', 'ArrowRight', 'PageDown', 'Enter'].includes(event.key)) { event.preventDefault(); event.stopImmediatePropagation(); goOn(); }
    if (['ArrowLeft', 'PageUp'].includes(event.key)) { event.preventDefault(); show(shown - 1, false); }
  }, true);
  page.addEventListener('click', (event) => {
    if (event.target.closest('.length-tap, img.length-drawn')) { goOn(); }
    // A picture that is clicked by a key was tapped nowhere: the number beside it says the place.
    if (event.target.matches('.needle-tap') && event.detail === 0) { event.preventDefault(); document.getElementById('at-stitch')?.focus(); }
    const begin = event.target.closest('.wait-begin');
    if (begin) {
      const end = Date.now() + (Number(begin.closest('[data-wait]').dataset.wait) * 60000);
      const left = begin.parentElement.querySelector('.wait-left');
      const tick = () => {
        const seconds = Math.max(0, Math.round((end - Date.now()) / 1000));
        left.textContent = seconds === 0 ? 'It is time.' : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
        if (seconds > 0) { setTimeout(tick, 1000); }
      };
      tick();
    }
  });
  document.getElementById('needle-back').addEventListener('click', () => show(shown - 1, false));
  document.getElementById('needle-pause').addEventListener('click', pause);

  const dark = document.getElementById('needle-dark');
  const darken = (on) => { document.documentElement.classList.toggle('needle-night', on); pressed('needle-dark', on); keep('needle-night', on); };
  darken(read('needle-night', window.matchMedia('(prefers-color-scheme: dark)').matches));
  dark.addEventListener('click', () => darken(dark.getAttribute('aria-pressed') !== 'true'));

  // A spoken “next”, where the browser can hear.
  const Hearing = window.SpeechRecognition ?? window.webkitSpeechRecognition;
  const listen = document.getElementById('needle-listen');
  if (Hearing) {
    listen.hidden = false;
    let hearing = null;
    listen.addEventListener('click', () => {
      if (hearing) { hearing.onend = null; hearing.stop(); hearing = null; pressed('needle-listen', false); return; }
      hearing = new Hearing();
      hearing.continuous = true;
      hearing.lang = 'en';
      hearing.onresult = (heard) => {
        // The words are the one text among what the browser tells of it.
        const last = heard.results[heard.results.length - 1][0];
        for (const name in last) { if (typeof last[name] === 'string' && /\bnext\b/i.test(last[name])) { goOn(); } }
      };
      hearing.onend = () => hearing?.start();
      hearing.start();
      pressed('needle-listen', true);
    });
  }

  const awake = async () => { try { await navigator.wakeLock?.request('screen'); } catch { /* the screen may sleep: nothing hangs on it */ } };
  document.addEventListener('visibilitychange', () => { if (document.visibilityState === 'visible') { awake(); } });
  awake();
  window.addEventListener('online', send);
  setInterval(() => {
    const seconds = Math.floor(now() / 1000);
    clock.textContent = `${paused ? 'paused at ' : ''}${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
    if (queue.length > 0) { send(); }
  }, 2000);

  // What was done here before the page was loaded again is behind her already.
  for (const waiting of queue) {
    const at = steps.findIndex((s) => s.dataset.id === waiting.step);
    if (at >= shown && at + 1 < steps.length) { reached = at + 1; show(at + 1, true); }
  }
  send();
})();
