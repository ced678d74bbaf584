// A drawing traced over a picture: lines drawn in one go, points set and dragged. What is drawn goes to the program as it was drawn; the program makes the line of it.
(() => {
  'use strict';

  const SVG = 'http://www.w3.org/2000/svg';
  const CLICK_PX = 5;
  const NEAR_PX = 14;
  const form = () => document.querySelector('form[data-sketch]');
  const drawing = () => document.querySelector('#sketch-frame svg');
  const picked = () => form()?.querySelector('[data-line] input[name="Active"]:checked')?.closest('.sketch-line');
  const field = () => picked()?.querySelector('textarea');
  const closed = () => Boolean(picked()?.querySelector('input[type="checkbox"]')?.checked);
  const round = (n) => Math.round(n * 100) / 100;
  const mmPerPx = () => drawing().viewBox.baseVal.width / drawing().getBoundingClientRect().width;

  const at = (event) => {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(drawing().getScreenCTM().inverse());
    return [round(p.x), round(p.y)];
  };

  const read = () => (field()?.value ?? '').split('\n').map((l) => l.trim().split(/[\s,;]+/)).filter((l) => l.length > 1 && Number.isFinite(Number(l[0])) && Number.isFinite(Number(l[1])))
    .map((l) => [Number(l[0]), Number(l[1]), l[2] === 'corner']);

  function write(points) {
    const text = field();
    if (!text) { return; }
    text.value = points.map(([x, y, corner]) => `${round(x)}, ${round(y)}${corner ? ' corner' : ''}`).join('\n');
    text.dispatchEvent(new Event('change', { bubbles: true }));
  }

  function show(focus) {
    const svg = drawing();
    const had = document.activeElement?.closest?.('#sketch-frame .line-handle')?.dataset.i;
    svg?.querySelector('.handles')?.remove();
    if (!svg || !picked()) { return; }
    const points = read();
    const px = mmPerPx();
    const group = document.createElementNS(SVG, 'g');
    group.setAttribute('class', 'handles');
    const line = document.createElementNS(SVG, closed() ? 'polygon' : 'polyline');
    Object.entries({ points: points.map((p) => `${p[0]},${p[1]}`).join(' '), class: 'tracing', 'stroke-width': 1.2 * px }).forEach(([n, v]) => line.setAttribute(n, v));
    group.append(line);
    points.forEach(([x, y, corner], i) => {
      const dot = document.createElementNS(SVG, corner ? 'rect' : 'circle');
      const size = corner ? { x: x - 5 * px, y: y - 5 * px, width: 10 * px, height: 10 * px } : { cx: x, cy: y, r: 5.5 * px };
      Object.entries({ ...size, 'stroke-width': 1.8 * px, tabindex: 0, role: 'button', 'data-i': i, class: 'line-handle', 'aria-label': `Point ${i + 1} of ${points.length}${corner ? ', a corner' : ''}: ${round(x)} right, ${round(y)} down, in mm. Arrow keys move it, C makes it ${corner ? 'smooth' : 'a corner'}.` })
        .forEach(([name, value]) => dot.setAttribute(name, value));
      group.append(dot);
    });
    svg.append(group);
    const on = focus ?? (had === undefined ? undefined : Number(had));
    if (on !== undefined && points.length) { group.querySelectorAll('.line-handle')[Math.min(on, points.length - 1)]?.focus(); }
  }

  // Lines drawn while the last ones are on their way wait for the answer.
  let waiting = [];
  let sent = null;
  function send() {
    if (sent || waiting.length === 0) { return; }
    [sent, waiting] = [waiting, []];
    document.getElementById('drawn').value = sent.map((line) => line.map((p) => p.join(',')).join(' ')).join('|');
    document.getElementById('add-drawn').click();
  }
  document.addEventListener('htmx:afterRequest', (event) => {
    if (event.target.id !== 'add-drawn' || !sent) { return; }
    const arrived = event.detail.successful;
    [waiting, sent] = [arrived ? waiting : [...sent, ...waiting], null];
    document.getElementById('drawn').value = '';
    // What did not arrive goes with the next line.
    if (arrived) { send(); }
  });

  let held = null;
  let pulled = null;
  let trail = null;

  document.addEventListener('pointerdown', (event) => {
    if (!event.target.closest?.('#sketch-frame svg') || event.button !== 0) { return; }
    event.preventDefault();
    const dot = event.target.closest('.line-handle');
    if (dot) {
      held = { i: Number(dot.dataset.i), points: read(), moved: false };
      dot.focus();
      return;
    }
    pulled = { from: [event.clientX, event.clientY], points: [at(event)] };
  });

  document.addEventListener('pointermove', (event) => {
    if (held) {
      held.moved = true;
      const [x, y] = at(event);
      held.points[held.i] = [x, y, held.points[held.i][2]];
      const group = drawing()?.querySelector('.handles');
      group?.querySelector('.tracing').setAttribute('points', held.points.map((p) => `${p[0]},${p[1]}`).join(' '));
      const dot = group?.querySelectorAll('.line-handle')[held.i];
      if (dot?.tagName === 'rect') {
        dot.setAttribute('x', x - dot.width.baseVal.value / 2);
        dot.setAttribute('y', y - dot.height.baseVal.value / 2);
      } else {
        dot?.setAttribute('cx', x);
        dot?.setAttribute('cy', y);
      }
      return;
    }
    if (!pulled) { return; }
    pulled.points.push(at(event));
    if (!trail && Math.hypot(event.clientX - pulled.from[0], event.clientY - pulled.from[1]) > CLICK_PX) {
      trail = document.createElementNS(SVG, 'polyline');
      trail.setAttribute('class', 'trail');
      trail.setAttribute('stroke-width', 2.4 * mmPerPx());
      drawing().append(trail);
    }
    trail?.setAttribute('points', pulled.points.map((p) => p.join(',')).join(' '));
  });

  function tap(p) {
    const points = read();
    if (!picked()) {
      waiting.push([p]);
      send();
      return;
    }
    // Beside the line it goes in between, else it goes on from the end.
    let best = points.length;
    let least = NEAR_PX * mmPerPx();
    const last = closed() ? points.length : points.length - 1;
    for (let i = 0; i < last; i += 1) {
      const a = points[i];
      const b = points[(i + 1) % points.length];
      const d = [b[0] - a[0], b[1] - a[1]];
      const length = d[0] * d[0] + d[1] * d[1];
      const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((p[0] - a[0]) * d[0] + (p[1] - a[1]) * d[1]) / length));
      const off = Math.hypot(p[0] - a[0] - t * d[0], p[1] - a[1] - t * d[1]);
      if (off < least) { least = off; best = i + 1; }
    }
    points.splice(best, 0, [...p, false]);
    write(points);
    show(best);
  }

  document.addEventListener('pointerup', () => {
    if (held) {
      const { i, points, moved } = held;
      held = null;
      if (moved) { write(points); }
      show(i);
      return;
    }
    if (!pulled) { return; }
    const { points } = pulled;
    const drawn = trail !== null;
    trail?.remove();
    [pulled, trail] = [null, null];
    if (drawn) {
      waiting.push(points);
      send();
    } else {
      tap(points[0]);
    }
  });

  document.addEventListener('keydown', (event) => {
    const dot = event.target.closest?.('#sketch-frame .line-handle');
    if (!dot) { return; }
    const i = Number(dot.dataset.i);
    const step = event.shiftKey ? 5 : 1;
    const way = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    const points = read();
    if (way) {
      points[i] = [points[i][0] + way[0], points[i][1] + way[1], points[i][2]];
    } else if (event.key.toLowerCase() === 'c' && !event.ctrlKey && !event.metaKey) {
      points[i][2] = !points[i][2];
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && points.length > 1) {
      points.splice(i, 1);
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    write(points);
    show(i);
  });

  // Which line is picked and what the next one is change nothing that is kept.
  document.addEventListener('change', (event) => {
    if (!form()?.contains(event.target)) { return; }
    if (event.target.matches('input[name="Active"], #pen, #width')) { event.stopPropagation(); }
    if (event.target.id === 'pen') { document.getElementById('draw-new').checked = true; }
    if (event.target.matches('input[name="Active"], input[type="checkbox"], #pen')) { show(); }
  }, true);

  let focused;
  document.addEventListener('htmx:beforeSwap', () => { focused = document.activeElement?.closest?.('#sketch-frame .line-handle')?.dataset.i; });
  document.addEventListener('htmx:afterSettle', () => {
    if (!form()) { return; }
    show(focused === undefined ? undefined : Number(focused));
    focused = undefined;
  });
  document.addEventListener('DOMContentLoaded', () => { if (form()) { show(); } });
})();
