"""Makes tests/Vanto.Core.Tests/References/kit-search.csv: the least battery blocks for each number of modules, every kit tried.

The bank by explicit steps of 15 s on its own charge (lithium iron: half a C taken up to 95 %, then less), the design day repeated until it ends no
lower than it began within 0.5 %, cloudy days from there. The unit's draw and the sun are given.
Run from the root: /usr/bin/python3 tests/references/kit_search.py  (Debian's python3 3.11, numpy 1.24.2).
"""
import json
import numpy as np

KIT = json.load(open('tests/references/inputs/kit.json'))
GRID = np.linspace(0, 1, 101)
EFFICIENCY, STEP, MOST = 0.995, 15.0, 12


def days(demand, bank, modules, soc):
    """Charge at the end and the lowest of some days."""
    inverter, lowest = KIT['inverter'], soc
    charge, most = 3600 * bank['capacityAh'], 0.5 * bank['ampHours']
    for ac, dc, sun in zip(demand['ac'], demand['dc'], demand['perModule']):
        drawn = ac + inverter['idleW'] + inverter['linear'] * ac + inverter['quadratic'] * ac * ac / inverter['ratedW']
        net = modules * sun - dc - drawn
        for _ in range(int(300 / STEP)):
            volts, ohm = np.interp(soc, GRID, bank['ocv']), np.interp(soc, GRID, bank['ohm'])
            if net > 0:
                amps = (-volts + np.sqrt(volts * volts + 4 * ohm * net)) / (2 * ohm)
                taken = most if soc <= 0.95 else most + (0.05 * bank['ampHours'] - most) * (soc - 0.95) / 0.05
                soc = min(1.0, soc + EFFICIENCY * min(amps, taken) * STEP / charge)
            else:
                root = volts * volts + 4 * ohm * net
                if root < 0:
                    return 0.0, 0.0
                soc -= (volts - np.sqrt(root)) / (2 * ohm) * STEP / charge
            lowest = min(lowest, soc)
            if lowest < KIT['reserve']:
                return 0.0, 0.0
    return soc, lowest


def settled(bank, modules):
    """Charge from which the design day repeats itself; None where it falls under the reserve before."""
    soc = 1.0
    while True:
        end, lowest = days(KIT['design'], bank, modules, soc)
        if lowest < KIT['reserve']:
            return None
        if end >= soc - 0.005:
            return end
        soc = end


rows = ['# kit_search.py, numpy ' + np.__version__, 'modules,design,cloudy']
for modules in range(MOST + 1):
    least = {'design': -1, 'cloudy': -1}
    for blocks, bank in enumerate(KIT['banks'], 1):
        start = settled(bank, modules)
        if start is None:
            continue
        if least['design'] < 0:
            least['design'] = blocks
        if least['cloudy'] < 0 and days(KIT['cloudy'], bank, modules, start)[1] >= KIT['reserve']:
            least['cloudy'] = blocks
            break
    print(modules, least)
    rows.append(f"{modules},{least['design']},{least['cloudy']}")
open('tests/Vanto.Core.Tests/References/kit-search.csv', 'w').write('\n'.join(rows) + '\n')
