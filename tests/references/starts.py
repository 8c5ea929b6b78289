"""Makes tests/Vanto.Core.Tests/References/starts.csv with ngspice 39: writes a netlist a start, runs it, reads when the rotor is at speed.

The motor in the time domain at 60 Hz: stator resistance, leakage, a rotor resistance that grows as 1/(1 - n); the rotor's speed is a charge on a
capacitor of its inertia, driven by the power in the rotor (times the starting factor) less the load. The soft starter is a source whose voltage keeps
the current at its limit. The magnetising susceptance is left out: it draws no torque.
Run from the root: /usr/bin/python3 tests/references/starts.py  (Debian's python3 3.11, ngspice 39.3).
"""
import math
import re
import subprocess

STARTS = [  # rated V, source V, LRA, RLA, line ohm, reduction
    (115, 115, 63, 12, 0.0, 0.0),
    (115, 120, 63, 12, 0.15, 0.0),
    (115, 115, 50, 9.5, 0.10, 0.0),
    (230, 230, 48, 9.0, 0.20, 0.0),
    (115, 115, 63, 12, 0.0, 0.60),
    (115, 115, 63, 12, 0.0, 0.65),
]


def motor(v, lra, rla, locked=0.80, running=0.97, t0=0.25):
    z = v / lra
    r2 = 0.30 * z * locked
    r1 = z * locked - r2
    x = z * math.sqrt(1 - locked ** 2)
    power = v * rla * running
    a = (v ** 2 + math.sqrt(v ** 4 - 4 * power ** 2 * x ** 2)) / (2 * power)
    slip = r2 / (a - r1)
    run = 1 - slip
    torque = v ** 2 / (a * a + x * x) * r2 / slip

    def net(n, k=0.35):
        b = r2 / (1 - n)
        f = k + (1 - k) * min(1, n / 0.75)
        return f * v * v * b / ((r1 + b) ** 2 + x * x) - torque * (0.15 + 0.30 * (n / run) ** 2)
    m = 4000
    h = 0.95 * run / m
    total = sum((1 if i in (0, m) else 4 if i % 2 else 2) / net(i * h) for i in range(m + 1)) * h / 3
    return r1, r2, x, run, torque, t0 / total


def netlist(rated, source, lra, rla, line, reduction):
    r1, r2, x, run, torque, inertia = motor(rated, lra, rla)
    k = 2.2 if reduction else 0.35
    w = 2 * math.pi * 60
    peak = math.sqrt(2) * source
    if reduction:
        # Voltage that keeps the current at its limit, never more than the source's.
        limit = math.sqrt(2) * (1 - reduction) * lra
        z = f'sqrt(({r1}+{r2}/(1-min(V(n),0.999)))^2+{x}^2)'
        volts = f'min({peak},{limit}*{z})'
    else:
        volts = f'{peak}'
    return f'''start of a single-phase compressor
Bsource in 0 V={volts}*sin({w}*time)
Rline in a {line + 1e-9}
R1 a b {r1}
L1 b c {x / w}
Vsense c d 0
Brotor d 0 V=I(Vsense)*{r2}/(1-min(V(n),0.999))
Bmech 0 n I=({k}+(1-{k})*min(1,V(n)/0.75))*I(Vsense)^2*{r2}/(1-min(V(n),0.999)) - {torque}*(0.15+0.30*(V(n)/{run})^2)
Cinertia n 0 {inertia} ic=0
.tran 50u 3 0 50u uic
.measure tran start when v(n)={0.95 * run} rise=1
.end
'''


rows = ['# ngspice 39', 'ratedV,sourceV,lraA,rlaA,lineOhm,reduction,startS']
for start in STARTS:
    with open('/tmp/start.cir', 'w') as f:
        f.write(netlist(*start))
    out = subprocess.run(['ngspice', '-b', '/tmp/start.cir'], capture_output=True, text=True).stdout
    seconds = float(re.search(r'start\s*=\s*([0-9.e+-]+)', out).group(1))
    print(start, seconds)
    rows.append(','.join(str(v) for v in start) + f',{seconds:.4f}')
with open('tests/references/start.cir', 'w') as f:
    f.write(netlist(*STARTS[-1]))
with open('tests/Vanto.Core.Tests/References/starts.csv', 'w') as f:
    f.write('\n'.join(rows) + '\n')
