"""Makes tests/Vanto.Core.Tests/References/conduction-*.csv and free-float.csv.

Each skin as one-dimensional conduction on a grid of a millimetre or finer, solved implicitly (Crank-Nicolson, 60 s); the held day repeated until it
repeats, and a space left to itself with convection and radiation apart (backward Euler, 10 s, one matrix for all nodes).
Run from the root: /usr/bin/python3 tests/references/conduction.py  (Debian's python3 3.11, numpy 1.24.2, scipy 1.10.1).
"""
import json
import numpy as np
import scipy
from scipy.linalg import lu_factor, lu_solve

ROOT = 'tests/references/inputs/'
OUT = 'tests/Vanto.Core.Tests/References/'
FINEST = 0.001
HEADER = f'# conduction.py, numpy {np.__version__}, scipy {scipy.__version__}\n'


def grid(face, inside_r):
    """Capacities (J/m2K) and resistances between nodes (m2K/W), from the drive to whatever is inside."""
    capacities, resistances, pending = [], [], 1 / face['filmWm2K']
    for layer in face['layers']:
        if layer['conductivity'] == 0:
            pending += layer['gapR']
            continue
        cells = max(1, int(np.ceil(layer['thicknessM'] / FINEST)))
        half = layer['thicknessM'] / cells / 2 / layer['conductivity']
        for _ in range(cells):
            resistances.append(pending + half)
            capacities.append(layer['density'] * layer['heat'] * layer['thicknessM'] / cells)
            pending = half
    resistances.append(pending + inside_r)
    return np.array(capacities), np.array(resistances)


def matrix(capacities, resistances):
    """dT/dt = A T + b_out T_out + b_in T_in."""
    n = len(capacities)
    a, g = np.zeros((n, n)), 1 / resistances
    for i in range(n):
        a[i, i] = -(g[i] + g[i + 1]) / capacities[i]
        if i > 0:
            a[i, i - 1] = g[i] / capacities[i]
        if i < n - 1:
            a[i, i + 1] = g[i + 1] / capacities[i]
    b_out, b_in = np.zeros(n), np.zeros(n)
    b_out[0], b_in[-1] = g[0] / capacities[0], g[-1] / capacities[-1]
    return a, b_out, b_in


def held(rig, step=60.0, days=14):
    """Hourly sensible load of the held day, W, and the skins' temperatures at each step of it."""
    per = int(300 / step)
    air, steps = rig['setpointC'], len(rig['outdoorC'])
    flow, kept = np.zeros(steps), []
    for face in rig['faces']:
        c, r = grid(face, face['insideR'])
        drive = np.array(face['drive'])
        a, b_out, b_in = matrix(c, r)
        n = len(c)
        left = lu_factor(np.eye(n) - step / 2 * a)
        right = np.eye(n) + step / 2 * a
        mean = drive.mean()
        t = mean + (air - mean) * np.cumsum(r)[:-1] / r.sum()
        advance, forced = lu_solve(left, right), lu_solve(left, np.stack([step * b_out, step * b_in], axis=1))
        states, into = np.zeros((steps, n)), np.zeros(steps)
        for _ in range(days):
            for k in range(steps):
                states[k] = t
                q = 0
                for _ in range(per):
                    t = advance @ t + forced @ np.array([drive[k], air])
                    q += (t[-1] - air) / r[-1]
                into[k] = face['areaM2'] * (q / per + face['bridgeWm2K'] * (drive[k] - air))
        flow += into
        kept.append(states)
    for window in rig['windows']:
        flow += window['areaM2'] * window['coveredU'] * (np.array(window['drive']) - air)
    capacity, coupling = rig['floorM2'] * rig['massJm2K'], rig['floorM2'] * rig['massCouplingWm2K']
    radiant = np.array(rig['radiantW'])
    swing, decay = radiant.mean() / coupling, np.exp(-coupling * 300 / capacity)
    for _ in range(40):
        mass = np.zeros(steps)
        from_mass = np.zeros(steps)
        for k in range(steps):
            mass[k] = swing
            rest = radiant[k] / coupling
            mean = rest + (swing - rest) * (1 - decay) / (coupling * 300 / capacity)
            swing = rest + (swing - rest) * decay
            from_mass[k] = coupling * mean
    total = flow + from_mass + np.array(rig['convectiveW']) + rig['infiltrationWK'] * (np.array(rig['outdoorC']) - air)
    return total.reshape(24, -1).mean(axis=1), kept, mass


def free(rig, kept, mass, convection, limits=(28, 30, 32, 35), step=10.0):
    """Minutes to the limits once nothing cools at the peak hour, films apart."""
    k0 = rig['peakHour'] * 12
    radiation = 5.5
    blocks = []
    for i, face in enumerate(rig['faces']):
        c, r = grid(face, 0.0)
        blocks.append((face['areaM2'], c, r, kept[i][k0], face['bridgeWm2K'], np.array(face['drive'])))
    for window in rig['windows']:
        blocks.append((window['areaM2'], np.array([]), np.array([max(0.01, 1 / window['coveredU'] - window['insideR'])]), np.array([]), 0.0,
                       np.array(window['drive'])))
    nodes = sum(len(b[1]) + 1 for b in blocks) + 3
    air, star, contents = nodes - 3, nodes - 2, nodes - 1
    m, c = np.zeros((nodes, nodes)), np.zeros(nodes)
    t = np.full(nodes, float(rig['setpointC']))
    outside, bridges = [], []

    def link(i, j, g):
        m[i, i] += g
        m[i, j] -= g
        m[j, j] += g
        m[j, i] -= g

    at = 0
    for area, cap, r, temperature, bridge, drive in blocks:
        n = len(cap)
        surface = at + n
        for i in range(n):
            c[at + i] = cap[i] * area
            t[at + i] = temperature[i]
            if i > 0:
                link(at + i - 1, at + i, area / r[i])
        m[at, at] += area / r[0]
        outside.append((at, area / r[0], drive))
        if n > 0:
            link(surface - 1, surface, area / r[-1])
        link(surface, air, area * convection)
        link(surface, star, area * radiation)
        if bridge:
            m[air, air] += area * bridge
            bridges.append((area * bridge, drive))
        at = surface + 1
    coupling = rig['floorM2'] * rig['massCouplingWm2K']
    link(contents, air, coupling * convection / (convection + radiation))
    link(contents, star, coupling * radiation / (convection + radiation))
    m[air, air] += rig['infiltrationWK']
    c[air] = 1.5 * rig['airDensity'] * rig['volumeM3'] * rig['airHeatJkgK']
    c[contents] = rig['floorM2'] * rig['massJm2K']
    t[contents] = rig['setpointC'] + mass[k0]
    lu = lu_factor(np.diag(c / step) + m)
    reached = {}
    for i in range(int(12 * 3600 / step)):
        k = (k0 + int(i * step // 300)) % len(rig['outdoorC'])
        b = c / step * t
        for node, g, drive in outside:
            b[node] += g * drive[k]
        for g, drive in bridges:
            b[air] += g * drive[k]
        b[air] += rig['infiltrationWK'] * rig['outdoorC'][k] + rig['convectiveW'][k]
        b[contents] += rig['radiantW'][k]
        t = lu_solve(lu, b)
        for limit in limits:
            if limit not in reached and t[air] >= limit:
                reached[limit] = (i + 1) * step / 60
        if len(reached) == len(limits):
            break
    return [reached.get(limit, -1) for limit in limits]


rows = []
for name in ('marigold', 'gannets-rest', 'pipit'):
    rig = json.load(open(ROOT + name + '.json'))
    hourly, kept, mass = held(rig)
    with open(f'{OUT}conduction-{name}.csv', 'w') as f:
        f.write(HEADER + 'hour,sensibleW\n' + ''.join(f'{h},{w:.3f}\n' for h, w in enumerate(hourly)))
    for convection in (1.5, 2.0, 3.5):
        rows.append((name, convection, free(rig, kept, mass, convection)))
    print(name, hourly.max(), rows[-3:])
with open(OUT + 'free-float.csv', 'w') as f:
    f.write(HEADER + '# rig 0 marigold, 1 gannets-rest, 2 pipit; minutes, -1 where not within twelve hours\n')
    f.write('rig,convectionWm2K,to28,to30,to32,to35\n')
    for name, convection, minutes in rows:
        f.write(f"{['marigold', 'gannets-rest', 'pipit'].index(name)},{convection},{','.join(f'{m:.2f}' for m in minutes)}\n")
