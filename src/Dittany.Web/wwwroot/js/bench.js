// The bench: faces and stations that never leave the page, pointing, dragging, zooming, and the slider that works the piece.
(() => {
  'use strict';

  const bench = () => document.getElementById('bench');
  const drawing = () => document.querySelector('#drawing svg');
  const swap = { target: '#bench', swap: 'outerHTML' };

  document.addEventListener('alpine:init', () => {
    window.Alpine.data('bench', () => ({
      face: 'stitched',
      station: 'item',
      init() { this.face = this.$el.dataset.face; this.station = this.$el.dataset.station; },
      pick() {
        const link = this.$event.target.closest('a[data-face], a[data-station], a[data-at]');
        if (!link || this.$event.ctrlKey || this.$event.metaKey || this.$event.shiftKey) { return; }
        this.$event.preventDefault();
        if (link.dataset.face) {
          this.face = link.dataset.face;
          if (bench().dataset.large) {
            // A large piece has one face at a time: the next one is fetched.
            this.$nextTick(() => window.htmx.ajax('GET', link.getAttribute('href'), swap));
            return;
          }
          if (this.face === 'order') { work(Number(document.getElementById('order-at').value)); } else { say(link.dataset.told); }
        }
        if (link.dataset.station) {
          this.station = link.dataset.station;
          const slips = document.querySelector('.slips');
          slips.scrollTop = 0;
          if (window.innerWidth <= 1000) { document.getElementById(`station-${this.station}`)?.scrollIntoView(); }
        }
        if (link.dataset.at) {
          this.face = 'order';
          if (bench().dataset.large && !document.getElementById('worked')) {
            this.$nextTick(() => window.htmx.ajax('GET', link.getAttribute('href'), swap));
            return;
          }
          work(Number(link.dataset.at));
        }
        this.$nextTick(() => { mark(); below(); });
      },
    }));
  });

  // Every form and every nearness of the bench answers with the bench again: one way in for all of them.
  document.addEventListener('submit', (event) => {
    const form = event.target.closest('.bench-frame form[method="post"]');
    if (!form || form.dataset.leaves !== undefined) { return; }
    event.preventDefault();
    post(event.submitter?.getAttribute('formaction') ?? form.getAttribute('action'), () => Object.fromEntries(new FormData(form, event.submitter)));
  });

  // One change goes after the other: each is read when its turn comes, so that it names the revision the last one came to.
  let turn = Promise.resolve();
  const post = (address, values) => {
    turn = turn.then(() => {
      const now = values();
      if ('from' in now) { now.from = bench().dataset.from; }
      return window.htmx.ajax('POST', address, { ...swap, values: now });
    }).catch(() => {});
  };
  document.addEventListener('click', (event) => {
    const look = event.target.closest('.views a');
    if (!look || event.ctrlKey || event.metaKey || event.shiftKey) { return; }
    event.preventDefault();
    window.htmx.ajax('GET', look.getAttribute('href'), swap);
  });

  const frame = () => document.querySelector('.bench-frame');

  /** The chosen face and station are said to be so. */
  function mark() {
    const { face, station } = frame().dataset;
    document.querySelectorAll('.face-link').forEach((a) => a.toggleAttribute('aria-current', false) || (a.dataset.face === face && a.setAttribute('aria-current', 'true')));
    document.querySelectorAll('.thread a').forEach((a) => a.toggleAttribute('aria-current', false) || (a.dataset.station === station && a.setAttribute('aria-current', 'true')));
  }

  // What goes along with every change: the face and station she looks at.
  document.addEventListener('htmx:configRequest', (event) => {
    if (!frame()) { return; }
    const put = (name, value) => { event.detail.parameters[name] = value; };
    put('Face', frame().dataset.face);
    put('Station', frame().dataset.station);
    if (event.detail.path.includes('?') && event.detail.verb === 'get') {
      // The address says both already: the newer word counts.
      const url = new URL(event.detail.path, window.location.href);
      url.searchParams.delete('Face');
      url.searchParams.delete('Station');
      event.detail.path = url.pathname + url.search;
    }
  });

  // Pointing: what is under the pointer tells of itself below the drawing.
  const say = (words) => { const out = document.getElementById('readout'); if (out && words) { out.textContent = words; } };
  const telling = (i) => document.getElementById('tellings')?.textContent.split('\n')[i] || `Stitch ${i + 1}.`;
  document.addEventListener('pointerover', (event) => {
    const told = event.target.closest('#drawing svg :is(.st, .obstacle, .hooping, .thread-end, .field, .face-back g, .so-far)');
    if (told) { say(told.dataset.i === undefined ? told.querySelector(':scope > title')?.textContent : telling(Number(told.dataset.i))); }
  });

  // A click on a stitch opens the form of its part.
  function openPart(event) {
    const stitch = document.elementsFromPoint(event.clientX, event.clientY).find((e) => e.matches('#drawing .st'));
    const places = document.getElementById('places')?.textContent.trim();
    if (!stitch || !places) { return; }
    const at = places.split('\n').map((line) => line.split(' ').map(Number)).findLast(([row]) => row <= Number(stitch.dataset.i));
    const part = at && document.getElementById(`part-${at[1]}`);
    if (!part) { return; }
    if (part.matches('.part-closed')) { window.location.assign(part.querySelector('a').getAttribute('href')); return; }
    document.querySelector('.thread a[data-station="stitches"]').click();
    part.open = true;
    part.scrollIntoView({ block: 'start' });
    part.querySelector('select').focus({ preventScroll: true });
  }

  // The direction of stitches is seen as it is turned.
  document.addEventListener('input', (event) => {
    const turned = event.target.closest('.direction');
    if (!turned) { return; }
    turned.querySelector('g').setAttribute('transform', `rotate(${event.target.value})`);
    turned.querySelector('span').textContent = `${event.target.value}° from level`;
    turned.closest('form').elements.lies.value = 'one-way';
  });

  // Lines along which stitches lie: drawn over the part, their dots moved by hand or with the keys; the text of the form is what counts.
  const linesOf = (form) => form.elements.lines.value.split('\n').map((row) => row.trim()).filter(Boolean).map((row) => row.split(';').map((place) => place.trim().split(/\s+/).map(Number)));
  const putLines = (form, lines, now) => {
    form.elements.lines.value = lines.map((line) => line.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('; ')).join('\n');
    form.elements.lies.value = lines.length > 0 ? 'lines' : '';
    if (now) { form.requestSubmit(); }
  };
  const formOf = (dot) => document.querySelector(`#part-${dot.dataset.part} form`);
  const inMm = (svg, event) => { const box = svg.viewBox.baseVal; const at = svg.getBoundingClientRect(); const per = scale(svg); return [box.x + (event.clientX - at.left) * per, box.y + (event.clientY - at.top) * per]; };
  let sketching = null;
  const endSketch = () => { sketching?.line?.remove(); document.getElementById('drawing')?.classList.remove('sketching'); sketching = null; };
  document.addEventListener('click', (event) => {
    const form = event.target.closest('.part-form');
    if (event.target.closest('.draw-line')) {
      if (event.detail === 0) {
        // By key: a line through the middle, whose dots the arrow keys move.
        putLines(form, [...linesOf(form), ...event.target.dataset.start.split('\n').map((row) => row.split(';').map((place) => place.trim().split(/\s+/).map(Number)))], true);
        return;
      }
      endSketch();
      sketching = { form, places: [] };
      const board = document.getElementById('drawing');
      board.classList.add('sketching');
      board.scrollIntoView({ block: 'nearest' });
      say('Draw a line over the part, the way its stitches are to lie.');
    }
    if (event.target.closest('.drop-line')) { putLines(form, linesOf(form).slice(0, -1), true); }
  });
  document.addEventListener('keydown', (event) => { if (event.key === 'Escape' && sketching) { endSketch(); say('No line was drawn.'); } });
  const sketchOn = (svg, event) => {
    const at = inMm(svg, event);
    const last = sketching.places.at(-1);
    if (!last || Math.hypot(at[0] - last[0], at[1] - last[1]) > 3 * scale(svg)) { sketching.places.push(at); }
    sketching.line.setAttribute('points', sketching.places.map((p) => p.join(',')).join(' '));
  };
  const sketchEnd = () => {
    const { form, places } = sketching;
    endSketch();
    if (places.length < 2) { say('That was no line. Draw it again.'); return; }
    putLines(form, [...linesOf(form), places], true);
  };
  /** A dot of a line by so many mm, seen at once. */
  const moveDot = (dot, dx, dy) => {
    const form = formOf(dot);
    const lines = linesOf(form);
    const place = lines[Number(dot.dataset.line)]?.[Number(dot.dataset.place)];
    if (!place) { return; }
    place[0] += dx;
    place[1] += dy;
    putLines(form, lines, false);
    dot.setAttribute('cx', place[0]);
    dot.setAttribute('cy', place[1]);
    document.querySelector(`.lie-line[data-line="${dot.dataset.part}-${dot.dataset.line}"]`)?.setAttribute('points', lines[Number(dot.dataset.line)].map((p) => p.join(',')).join(' '));
  };

  // The slider works the piece from its first stitch to its last.
  function work(at) {
    const slider = document.getElementById('order-at');
    if (!slider) { return; }
    const n = Math.max(0, Math.min(Number(slider.max), at));
    slider.value = String(n);
    if (document.getElementById('worked')) {
      paint(n);
      say(n > 0 ? telling(n - 1) : 'Nothing is stitched yet.');
      return;
    }
    let last = null;
    document.querySelectorAll('.st').forEach((stitch) => {
      const i = Number(stitch.dataset.i);
      stitch.classList.toggle('yet', i >= n);
      if (i === n - 1) { last = stitch; }
    });
    document.querySelectorAll('.st.at').forEach((s) => s.classList.remove('at'));
    last?.classList.add('at');
    say(last ? telling(n - 1) : 'Nothing is stitched yet.');
    document.querySelectorAll('.runs li').forEach((li) => li.classList.toggle('at', last !== null && li.querySelector('a').textContent.startsWith(`Length ${last.dataset.run}:`)));
  }
  document.addEventListener('input', (event) => { if (event.target.id === 'order-at') { work(Number(event.target.value)); } });
  document.addEventListener('click', (event) => {
    const by = event.target.id === 'step-back' ? -1 : event.target.id === 'step-on-one' ? 1 : 0;
    if (by === 0) { return; }
    if (frame().dataset.face !== 'order') { document.querySelector('.face-link[data-face="order"]').click(); }
    work(Number(document.getElementById('order-at').value) + by);
  });

  // Too many stitches for an element each are painted, in working order: what is worked in full, what is to come faintly, the last one marked.
  let lines = null;
  function painted() {
    const text = document.getElementById('stitch-lines');
    if (!text) { return null; }
    if (lines?.of === text) { return lines; }
    let [x, y, colour, width] = [0, 0, '', 1];
    const all = text.textContent.split('\n').filter(Boolean).map((row) => {
      const words = row.split(' ');
      if (words[0].startsWith('#')) { colour = words.shift(); width = Number(words.shift()); }
      const places = [];
      for (let i = 0; i < words.length; i += 2) { x += Number(words[i]); y += Number(words[i + 1]); places.push(x / 100, y / 100); }
      return { colour, width, places };
    });
    lines = { of: text, all };
    return lines;
  }
  function paint(n) {
    const canvas = document.getElementById('worked');
    const svg = drawing();
    const known = painted();
    if (!canvas || !svg || !known) { return; }
    const at = svg.getBoundingClientRect();
    const by = window.devicePixelRatio || 1;
    if (canvas.width !== Math.round(at.width * by) || canvas.height !== Math.round(at.height * by)) {
      canvas.width = Math.round(at.width * by);
      canvas.height = Math.round(at.height * by);
      canvas.style.width = `${at.width}px`;
      canvas.style.height = `${at.height}px`;
    }
    const board = canvas.getContext('2d');
    const box = svg.viewBox.baseVal;
    const per = by / scale(svg);
    board.setTransform(1, 0, 0, 1, 0, 0);
    board.clearRect(0, 0, canvas.width, canvas.height);
    board.setTransform(per, 0, 0, per, -box.x * per, -box.y * per);
    board.lineCap = board.lineJoin = 'round';
    const run = (from, to, faint, bright) => {
      // Stitches of one thread that follow each other are one path; what lies outside the view is not painted.
      board.globalAlpha = faint ? 0.16 : 1;
      let last = null;
      for (let i = from; i < to; i++) {
        const { colour, width, places } = known.all[i];
        let seen = false;
        for (let k = 0; k < places.length && !seen; k += 2) { seen = places[k] > box.x - 5 && places[k] < box.x + box.width + 5 && places[k + 1] > box.y - 5 && places[k + 1] < box.y + box.height + 5; }
        if (!seen) { continue; }
        if (last !== colour + width) {
          if (last !== null) { board.stroke(); }
          last = colour + width;
          board.beginPath();
          board.strokeStyle = bright ?? colour;
          board.lineWidth = Math.max(width, 0.7 / per);
        }
        board.moveTo(places[0], places[1]);
        if (places.length === 2) { board.lineTo(places[0] + 0.01, places[1]); }
        for (let k = 2; k < places.length; k += 2) { board.lineTo(places[k], places[k + 1]); }
      }
      if (last !== null) { board.stroke(); }
    };
    run(n, known.all.length, true);
    run(0, n, false);
    if (n > 0) { run(n - 1, n, false, '#e6bd4f'); }
    frame().classList.add('painted');
    frame().dataset.painted = String(n);
  }
  const paintNow = () => { const slider = document.getElementById('order-at'); if (slider && document.getElementById('worked')) { paint(Number(slider.value)); } else { frame()?.classList.remove('painted'); } };
  document.addEventListener('DOMContentLoaded', paintNow);
  window.addEventListener('resize', paintNow);

  // Nudges of the keys are gathered for a moment and sent as one.
  const gathered = { dx: 0, dy: 0, timer: 0 };
  const moves = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  const send = (handler, values) => {
    post(`/bench/${bench().dataset.piece}?handler=${handler}`, () => ({ ...Object.fromEntries(new FormData(document.getElementById('change'))), ...values }));
  };
  document.addEventListener('keydown', (event) => {
    if (!moves[event.key] || !event.target.closest('#drawing') || event.ctrlKey || event.metaKey || event.altKey) { return; }
    event.preventDefault();
    const by = event.shiftKey ? 5 : 1;
    const dot = event.target.closest('.lie-dot');
    if (dot) {
      moveDot(dot, moves[event.key][0] * by, moves[event.key][1] * by);
      clearTimeout(gathered.timer);
      gathered.timer = setTimeout(() => formOf(dot).requestSubmit(), 400);
      return;
    }
    gathered.dx += moves[event.key][0] * by;
    gathered.dy += moves[event.key][1] * by;
    shift(gathered.dx, gathered.dy);
    clearTimeout(gathered.timer);
    gathered.timer = setTimeout(() => {
      send('Nudge', { dx: gathered.dx, dy: gathered.dy });
      gathered.dx = gathered.dy = 0;
    }, 250);
  });

  const shift = (dx, dy) => document.querySelector('.words')?.setAttribute('transform', dx || dy ? `translate(${dx} ${dy})` : '');

  // Dragging: the words go with the pointer and are pulled onto the item's own lines; beside them the view goes along.
  const Pull = 7;
  let drag = null;
  const scale = (svg) => { const box = svg.viewBox.baseVal; const at = svg.getBoundingClientRect(); return Math.max(box.width / at.width, box.height / at.height); };
  document.addEventListener('pointerdown', (event) => {
    const svg = event.button === 0 && event.target.closest('#drawing svg');
    if (!svg) { return; }
    if (sketching) {
      sketching.line = svg.appendChild(document.createElementNS('http://www.w3.org/2000/svg', 'polyline'));
      sketching.line.setAttribute('class', 'lie-line');
      sketching.line.setAttribute('stroke-width', 2 * scale(svg));
      svg.setPointerCapture(event.pointerId);
      sketchOn(svg, event);
      return;
    }
    const dot = event.target.closest('.lie-dot');
    if (dot) {
      drag = { svg, dot, per: scale(svg), x: event.clientX, y: event.clientY, moved: false };
      svg.setPointerCapture(event.pointerId);
      return;
    }
    const words = frame().dataset.face !== 'back' && event.target.closest('.words');
    if (!words && event.pointerType === 'touch') { return; }
    const box = svg.viewBox.baseVal;
    // One of several goes by itself: with Shift one copy of a motif, else the whole of what is under the pointer.
    const paper = words && document.elementsFromPoint(event.clientX, event.clientY).find((e) => e.matches('#drawing .paper'));
    const push = paper && event.shiftKey && paper.dataset.copy !== '-1';
    const several = paper && new Set([...svg.querySelectorAll('.paper')].map((p) => p.dataset.element)).size > 1;
    drag = { svg, words, paper: push || several ? paper : null, push, per: scale(svg), x: event.clientX, y: event.clientY, box: { x: box.x, y: box.y }, dx: 0, dy: 0, moved: false };
    if (words) { svg.setPointerCapture(event.pointerId); }
  });
  // A finger on the words moves them and not the page.
  document.addEventListener('touchstart', (event) => {
    if (frame()?.dataset.face !== 'back' && event.touches.length === 1 && (sketching ? event.target.closest('#drawing svg') : event.target.closest('#drawing :is(.words, .lie-dot)'))) { event.preventDefault(); }
  }, { passive: false });
  document.addEventListener('pointermove', (event) => {
    if (sketching?.line) { sketchOn(sketching.line.ownerSVGElement, event); return; }
    if (drag?.dot) {
      moveDot(drag.dot, (event.clientX - drag.x) * drag.per, (event.clientY - drag.y) * drag.per);
      Object.assign(drag, { x: event.clientX, y: event.clientY, moved: true });
      return;
    }
    if (!drag) { return; }
    drag.dx = (event.clientX - drag.x) * drag.per;
    drag.dy = (event.clientY - drag.y) * drag.per;
    if (!drag.moved && Math.hypot(event.clientX - drag.x, event.clientY - drag.y) < 3) { return; }
    drag.moved = true;
    if (!drag.words) {
      drag.svg.viewBox.baseVal.x = drag.box.x - drag.dx;
      drag.svg.viewBox.baseVal.y = drag.box.y - drag.dy;
      paintNow();
      return;
    }

    drag.svg.classList.add('moving');
    if (drag.push) { carry(drag, drag.dx, drag.dy); return; }
    const from = { x: Number((drag.paper ?? drag.words).dataset.x), y: Number((drag.paper ?? drag.words).dataset.y) };
    const by = { x: drag.dx, y: drag.dy };
    drag.svg.querySelectorAll('.snap').forEach((snap) => {
      const axis = snap.dataset.axis;
      const at = Number(snap.dataset.at);
      const near = Math.abs(from[axis] + by[axis] - at) <= Pull * drag.per;
      snap.classList.toggle('near', near);
      if (near) { by[axis] = at - from[axis]; }
    });
    if (drag.paper) { carry(drag, by.x, by.y); } else { shift(by.x, by.y); }
  });
  /** The paper shapes that are pushed go with the pointer; the stitches follow when they are let go. */
  const carry = ({ svg, paper, push }, dx, dy) => svg.querySelectorAll('.paper').forEach((p) => {
    const taken = push ? p === paper : p.dataset.element === paper.dataset.element;
    p.classList.toggle('pushed', taken && (dx !== 0 || dy !== 0));
    if (taken) { p.setAttribute('transform', `translate(${dx} ${dy})`); }
  });
  const drop = (event) => {
    if (sketching?.line) { sketchEnd(); return; }
    if (!drag) { return; }
    const was = drag;
    drag = null;
    if (was.dot) { if (was.moved) { formOf(was.dot).requestSubmit(); } return; }
    was.svg.classList.remove('moving');
    if (!was.moved) { if (event.type === 'pointerup') { openPart(event); } return; }
    if (event.type === 'pointercancel') { shift(0, 0); if (was.paper) { carry(was, 0, 0); } return; }
    if (was.push) {
      send('Push', { element: was.paper.dataset.element, copy: was.paper.dataset.copy, dx: was.dx, dy: was.dy });
    } else if (was.paper) {
      send('Put', { element: was.paper.dataset.element, x: Number(was.paper.dataset.x) + was.dx, y: Number(was.paper.dataset.y) + was.dy, within: Pull * was.per });
    } else if (was.words) {
      send('Put', { x: Number(was.words.dataset.x) + was.dx, y: Number(was.words.dataset.y) + was.dy, within: Pull * was.per });
    } else {
      look(was.svg, 1);
    }
  };
  document.addEventListener('pointerup', drop);
  document.addEventListener('pointercancel', drop);

  // A view of her own: its middle and width in the address, the tapes drawn for it.
  let looking = 0;
  function look(svg, by) {
    const box = svg.viewBox.baseVal;
    box.x += box.width * (1 - by) / 2;
    box.y += box.height * (1 - by) / 2;
    box.width *= by;
    box.height *= by;
    paintNow();
    clearTimeout(looking);
    looking = setTimeout(() => {
      const middle = [box.x + box.width / 2, box.y + box.height / 2, box.width].map((n) => n.toFixed(2)).join('_');
      window.htmx.ajax('GET', `/bench/${bench().dataset.piece}?View=at_${middle}${bench().dataset.place ? `&Place=${encodeURIComponent(bench().dataset.place)}` : ''}`, swap);
    }, by === 1 ? 0 : 180);
  }
  document.addEventListener('wheel', (event) => {
    const svg = event.target.closest?.('#drawing svg');
    if (!svg || !(event.ctrlKey || document.activeElement?.id === 'drawing')) { return; }
    event.preventDefault();
    look(svg, event.deltaY > 0 ? 1.25 : 0.8);
  }, { passive: false });

  // Slips below the edge are counted, so that none is lost unseen.
  function below() {
    const [slips, told] = [document.querySelector('.slips'), document.getElementById('below')];
    if (!slips || !told) { return; }
    const edge = slips.getBoundingClientRect().bottom + 1;
    const hidden = slips.scrollHeight > slips.clientHeight + 4 ? [...slips.querySelectorAll('.slip')].filter((s) => s.offsetParent !== null && s.getBoundingClientRect().bottom > edge).length : 0;
    told.hidden = hidden === 0;
    told.textContent = hidden === 1 ? '1 slip goes on below' : `${hidden} slips go on below`;
  }
  document.addEventListener('scroll', below, true);
  window.addEventListener('resize', below);
  document.addEventListener('toggle', below, true);
  document.addEventListener('DOMContentLoaded', below);

  // After a change the slips stand where they stood, opened as they were, and the focus is where it was. Nothing on the bench is htmx's own, so its answer is put in place here:
  // looking through every element for attributes that are not there would take longer than the plan.
  const opened = () => new Set([...document.querySelectorAll('.bench details[open]')].map(nameOf));
  const nameOf = (details) => details.id || `${details.closest('[id]').id} ${details.querySelector('summary')?.textContent}`;
  document.addEventListener('htmx:beforeSwap', (event) => {
    if (event.detail.target.id !== 'bench' || !event.detail.shouldSwap) { return; }
    event.detail.shouldSwap = false;
    const at = document.getElementById('order-at');
    const kept = { top: document.querySelector('.slips').scrollTop, open: opened(), focus: document.activeElement?.id, at: at && at.value !== at.defaultValue ? Number(at.value) : null };
    const fresh = document.createElement('template');
    fresh.innerHTML = event.detail.serverResponse;
    bench().replaceWith(fresh.content);
    if (kept.open.size > 0) { document.querySelectorAll('.bench details').forEach((d) => { d.open = kept.open.has(nameOf(d)); }); }
    if (kept.focus) { document.getElementById(kept.focus)?.focus({ preventScroll: true }); }
    if (kept.at !== null) { work(kept.at); } else { paintNow(); }
    mark();
    if (kept.top > 0) { document.querySelector('.slips').scrollTop = kept.top; }
    requestAnimationFrame(below);
    document.dispatchEvent(new CustomEvent('bench:shown'));
  });

  // What could not be sent goes back to where it was.
  document.addEventListener('htmx:sendError', () => shift(0, 0));
})();
