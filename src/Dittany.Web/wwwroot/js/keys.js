// On every page: single keys, the list of them, and the word that the connection is gone.
(() => {
  'use strict';

  // Single letters can be switched off; the choice stays in this browser.
  const lettersOff = () => { try { return localStorage.getItem('single-keys') === 'off'; } catch { return false; } };
  const press = (id) => document.getElementById(id)?.click();
  const keys = () => document.getElementById('keys');

  const does = {
    '+': () => press('larger'),
    '=': () => press('larger'),
    '-': () => press('smaller'),
    z: () => press('undo'),
    Z: () => press('redo'),
    p: () => press('to-sheets'),
    n: () => press('new-piece'),
    '[': () => press('step-back'),
    ']': () => press('step-on-one'),
    '?': () => keys()?.showModal(),
    '/': () => { keys()?.showModal(); document.getElementById('find')?.focus(); },
  };
  for (const [key, face] of Object.entries({ s: 'stitched', m: 'marks', h: 'hoops', b: 'back', o: 'order', v: 'metre' })) {
    does[key] = () => document.querySelector(`.face-link[data-face="${face}"]`)?.click();
  }
  for (let n = 0; n < 10; n++) {
    does[n] = () => document.querySelectorAll('.thread a')[(n + 9) % 10]?.click();
  }

  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) { return; }
    const at = event.target;
    if (event.key === 'Enter' && !event.shiftKey && at.closest('.words-form textarea')) {
      // Enter changes the words; Shift with it makes a new row.
      event.preventDefault();
      at.form.requestSubmit();
      return;
    }

    if (at.closest('input, textarea, select, dialog') || lettersOff() || !Object.hasOwn(does, event.key)) { return; }
    event.preventDefault();
    does[event.key]();
  });

  document.addEventListener('change', (event) => {
    if (event.target.id === 'keys-on') {
      try { localStorage.setItem('single-keys', event.target.checked ? 'on' : 'off'); } catch { /* no storage: the keys stay on */ }
    }
  });
  document.addEventListener('DOMContentLoaded', () => { const box = document.getElementById('keys-on'); if (box) { box.checked = !lettersOff(); } });

  // Find a word among the slips: each that has it can be gone to.
  document.addEventListener('input', (event) => {
    if (event.target.id !== 'find') { return; }
    const wanted = event.target.value.trim().toLowerCase();
    const found = document.getElementById('found');
    found.replaceChildren();
    if (wanted.length < 2) { return; }
    for (const slip of document.querySelectorAll('.slip')) {
      if (found.children.length === 8 || !slip.textContent.toLowerCase().includes(wanted)) { continue; }
      const item = document.createElement('li');
      const go = document.createElement('button');
      go.type = 'button';
      go.className = 'choice';
      go.textContent = slip.querySelector('h3')?.textContent ?? slip.textContent.trim().slice(0, 70);
      go.addEventListener('click', () => {
        keys().close();
        const station = slip.closest('.station-slips');
        document.querySelector(`.thread a[data-station="${station.id.slice('station-'.length)}"]`)?.click();
        slip.scrollIntoView({ block: 'center' });
      });
      item.append(go);
      found.append(item);
    }
  });

  let word;
  // What is understood of a saying is not put over an answer she is giving by herself at this moment.
  document.addEventListener('htmx:beforeSwap', (event) => {
    const answers = event.detail.target;
    const here = document.activeElement;
    if (answers.id !== 'answers' || !answers.contains(here)) { return; }
    if (!here.matches('#spans *, #asked *')) { event.detail.shouldSwap = false; return; }
    word = [...document.querySelectorAll('#spans > li')].indexOf(here.closest('#spans > li'));
  });
  // A word that was made something else keeps the focus; an answered question gives it back to the saying.
  document.addEventListener('htmx:afterSettle', () => {
    if (word === undefined) { return; }
    (document.querySelectorAll('#spans > li')[word]?.querySelector('summary') ?? document.getElementById('said'))?.focus();
    word = undefined;
  });

  const offline = (gone) => { const told = document.getElementById('offline'); if (told) { told.hidden = !gone; } };
  document.addEventListener('htmx:sendError', () => offline(true));
  document.addEventListener('htmx:afterOnLoad', () => offline(false));
})();
