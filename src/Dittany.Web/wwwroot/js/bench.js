// What never leaves the page: which face is shown, keys, and the word that the connection is gone.
(() => {
  'use strict';

  document.addEventListener('alpine:init', () => {
    window.Alpine.data('bench', () => ({
      face: 'stitched',
      init() { this.face = this.$el.dataset.startFace || 'stitched'; },
      stitched() { this.face = 'stitched'; },
      marks() { this.face = 'marks'; },
    }));
  });

  // Nudges of the keys are gathered for a moment and sent as one.
  const gathered = { dx: 0, dy: 0, timer: 0 };
  const moves = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

  function nudge(dx, dy) {
    gathered.dx += dx;
    gathered.dy += dy;
    clearTimeout(gathered.timer);
    gathered.timer = setTimeout(() => {
      const form = document.getElementById('nudge');
      const values = Object.fromEntries(new FormData(form));
      values.dx = gathered.dx;
      values.dy = gathered.dy;
      gathered.dx = gathered.dy = 0;
      window.htmx.ajax('POST', form.getAttribute('hx-post'), { target: '#bench', swap: 'outerHTML', values });
    }, 250);
  }

  // Single letters can be switched off; the choice stays in this browser.
  const lettersOff = () => { try { return localStorage.getItem('single-keys') === 'off'; } catch { return false; } };

  const clicks = { '+': 'larger', '=': 'larger', '-': 'smaller', z: 'undo' };
  const faces = { s: '.to-stitched', m: '.to-marks' };

  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) { return; }
    const at = event.target;
    if (event.key === 'Enter' && !event.shiftKey && at.closest('.words-form textarea')) {
      // Enter changes the words; Shift with it makes a new row.
      event.preventDefault();
      at.form.requestSubmit();
      return;
    }

    if (at.closest('input, textarea, select')) { return; }
    if (moves[event.key] && at.closest('#drawing')) {
      const by = event.shiftKey ? 5 : 1;
      nudge(moves[event.key][0] * by, moves[event.key][1] * by);
      event.preventDefault();
    } else if (lettersOff()) {
      return;
    } else if (/^[0-9]$/.test(event.key)) {
      document.querySelectorAll('.thread a')[(Number(event.key) + 9) % 10]?.click();
    } else if (event.key === '?') {
      document.getElementById('keys')?.scrollIntoView();
    } else if (event.key === 'p') {
      document.getElementById('template')?.click();
    } else if (clicks[event.key]) {
      document.getElementById(clicks[event.key])?.click();
    } else if (faces[event.key]) {
      document.querySelector(faces[event.key])?.click();
    } else if (event.key === 'n') {
      window.location.href = '/new';
    }
  });

  document.addEventListener('change', (event) => {
    if (event.target.id === 'keys-on') {
      try { localStorage.setItem('single-keys', event.target.checked ? 'on' : 'off'); } catch { /* no storage: the keys stay on */ }
    }
  });

  const showKeys = () => { const box = document.getElementById('keys-on'); if (box) { box.checked = !lettersOff(); } };
  document.addEventListener('DOMContentLoaded', showKeys);

  // After a change the slips stand where they stood, opened as they were.
  let kept = null;
  const nameOf = (details) => {
    const slip = details.closest('.slip');
    return slip && slip.id ? slip.id + [...slip.querySelectorAll('details')].indexOf(details) : '';
  };
  document.addEventListener('htmx:beforeSwap', () => {
    const slips = document.querySelector('.slips');
    if (slips) { kept = { top: slips.scrollTop, open: [...slips.querySelectorAll('details[open]')].map(nameOf) }; }
  });
  document.addEventListener('htmx:afterSettle', () => {
    const slips = document.querySelector('.slips');
    if (slips && kept) {
      slips.querySelectorAll('details').forEach((d) => { if (kept.open.includes(nameOf(d))) { d.open = true; } });
      slips.scrollTop = kept.top;
      kept = null;
    }
    showKeys();
  });

  // A face once chosen goes along with every change.
  document.addEventListener('htmx:configRequest', (event) => {
    const frame = document.querySelector('.bench-frame');
    if (frame) { event.detail.parameters.face = frame.dataset.face; }
  });

  const offline = (gone) => { const told = document.getElementById('offline'); if (told) { told.hidden = !gone; } };
  document.addEventListener('htmx:sendError', () => offline(true));
  document.addEventListener('htmx:afterOnLoad', () => offline(false));
})();
