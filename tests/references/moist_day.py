"""Makes tests/Vanto.Core.Tests/References/moist-day.csv: a held day of a rig with its moisture, its unit never short of power.

Sensible load from conduction.py, psychrometrics by Buck's formula, the coil by bypass factor and apparatus dew point (Brent), the room's moisture
explicitly at 30 s, the day repeated until its air is as damp as the day before.
Run from the root after conduction.py: /usr/bin/python3 tests/references/moist_day.py  (Debian's python3 3.11, numpy 1.24.2, scipy 1.10.1).
"""
import json
import numpy as np
import scipy
from scipy.optimize import brentq

HFG, BYPASS, STORE = 2.501e6, 0.15, 10
SHARE, INPUT = [0.20, 0.30, 0.50, 0.75, 1.00, 1.20, 1.40], [0.78, 0.72, 0.76, 0.88, 1.00, 1.12, 1.25]


def psat(t):
    return 611.21 * np.exp((18.678 - t / 234.5) * t / (257.14 + t)) * 1.0


def wsat(t, p):
    return 0.621945 * psat(t) / (p - psat(t))


def enthalpy(t, w):
    return 1006 * t + w * (HFG + 1860 * t)


def wet_bulb(t, w, p):
    def error(x):
        return ((2501 - 2.326 * x) * wsat(x, p) - 1.006 * (t - x)) / (2501 + 1.86 * t - 4.186 * x) - w
    return brentq(error, -5, t) if error(t) > 0 else t


def run(rig, sensible):
    unit, p, air = rig['unit'], rig['pressurePa'], rig['setpointC']
    rated, power = unit['ratedCapacityW'], unit['ratedPowerW']
    store, exchange = rig['airDensity'] * rig['volumeM3'] * STORE, rig['exchangeKgS']
    flow = 0.05e-3 * rated

    def curves(w, d):
        w, d = max(5, min(28, w)), max(18, d)
        cap = lambda w, d: 0.961111111 + 0.02 * w - 0.01 * d
        eir = lambda w, d: 0.521666667 - 0.015 * w + 0.022 * d
        return cap(w, d) / cap(19 + 4 / 9, 35), eir(w, d) / eir(19 + 4 / 9, 35)

    def coil(ratio, cooling, share):
        volume = 287.042 * (air + 273.15) * (1 + 1.607858 * ratio) / p
        through = flow * max(0.4, share) / volume * (1 - BYPASS)
        target = enthalpy(air, ratio) - cooling / through
        adp = brentq(lambda x: enthalpy(x, wsat(x, p)) - target, -60, air)
        latent = through * (ratio - wsat(adp, p)) * HFG
        return (cooling - max(0, latent)), max(0, latent)

    ratio, before = min(rig['setpointRatio'], rig['outdoorRatio'][0]), None
    step = 30.0
    while before is None or abs(ratio - before) > 1e-6:
        before, energy, humidity = ratio, 0, []
        for k in range(len(rig['outdoorC'])):
            need = sensible[k // 12]
            out, out_ratio = rig['outdoorC'][k], rig['outdoorRatio'][k]
            cap, eir = curves(wet_bulb(air, ratio, p), out + rig['inletRiseK'])
            cap *= rig['placeFactor']
            eir /= rig['placeFactor']
            full = rated * cap
            lowest = unit['minCapacityW'] / rated
            latent, draw = 0.0, unit['idleW']
            if need > 0:
                least = coil(ratio, lowest * full, lowest)
                if need <= least[0]:
                    share = need / least[0]
                    latent = least[1] * share
                    run = min(1, share / (1 - unit['cyclingDegradation'] * (1 - share)))
                    steady = power * cap * eir * lowest * np.interp(lowest, SHARE, INPUT)
                    draw = run * steady + (1 - run) * unit['idleW']
                else:
                    most = unit['maxCapacityW'] / rated
                    y = most if coil(ratio, most * full, most)[0] < need else brentq(lambda y: coil(ratio, y * full, y)[0] - need, lowest, most)
                    latent = coil(ratio, y * full, y)[1]
                    draw = power * cap * eir * y * np.interp(y, SHARE, INPUT)
            energy += draw * 300 / 3.6e6
            for _ in range(int(300 / step)):
                ratio += step / store * (exchange * (out_ratio - ratio) + (rig['latentW'][k] - latent) / HFG)
            vapour = p * ratio / (0.621945 + ratio)
            humidity.append(100 * vapour / psat(air))
    return energy, float(np.mean(humidity)), ratio


with open('tests/Vanto.Core.Tests/References/moist-day.csv', 'w') as f:
    f.write(f'# moist_day.py, numpy {np.__version__}, scipy {scipy.__version__}; rig 0 marigold, 1 gannets-rest: held at every hour, '
            'with a unit that is never at full power\nrig,unitKWh,meanRhPct\n')
    for i, name in enumerate(('marigold', 'gannets-rest')):
        rig = json.load(open(f'tests/references/inputs/{name}.json'))
        rows = [l.split(',') for l in open(f'tests/Vanto.Core.Tests/References/conduction-{name}.csv') if l[0] not in '#h']
        energy, humidity, _ = run(rig, [float(r[1]) for r in rows])
        print(name, energy, humidity)
        f.write(f'{i},{energy:.4f},{humidity:.2f}\n')
