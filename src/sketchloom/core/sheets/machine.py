"""Machines: what they can cut at once, how fast they move, and what they take."""

from dataclasses import dataclass, replace

from sketchloom.core.base import plain, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.sheets.material import BLADE, LASER, ROUTER
from sketchloom.core.sheets.motion import Dynamics

PEN = "pen"
UPRIGHT, FEED = AXES = ("upright", "feed")
CORNER, MIDDLE = ORIGINS = ("corner", "middle")
KINDS = (BLADE, LASER, ROUTER, PEN)
MAX_MACHINES, MAX_CARRIERS, MAX_STUFFS = 100, 40, 200
"""More than any workshop has; a guard against hostile files."""
MAX_SIDE_MM = 100_000.0
_INCH_MARGIN_MM = 0.25 * MM_PER_IN
"""A 12 in carrier cuts 11.5 in across (trade)."""


@dataclass(frozen=True, slots=True)
class Carrier:
    """What holds the stuff: ``width_mm`` across and ``height_mm`` in the direction of feed, 0 for as long as the roll;
    what of it can be cut keeps ``side_mm`` from either side and ``end_mm`` from the edge that goes in first and the
    last."""

    key: str = setting.text(setting.REQUIRED, most=100)
    name: str = setting.text(setting.REQUIRED, most=300)
    width_mm: float = setting.length(setting.REQUIRED, 10.0, MAX_SIDE_MM)
    height_mm: float = setting.length(0.0, 0.0, MAX_SIDE_MM)
    side_mm: float = setting.length(0.0, 0.0, 1000.0)
    end_mm: float = setting.length(0.0, 0.0, 1000.0)

    def __post_init__(self):
        check_all(self, "machines.carriers.")
        if 2 * self.side_mm >= self.width_mm or (self.height_mm > 0 and 2 * self.end_mm >= self.height_mm):
            raise SettingError("machines.carriers.side_mm", said("margins that leave something to cut"), self.side_mm)

    @property
    def usable_mm(self) -> tuple[float, float]:
        """Width and height that can be cut, the height infinite on a roll."""
        height = self.height_mm - 2 * self.end_mm if self.height_mm > 0 else float("inf")
        return self.width_mm - 2 * self.side_mm, height

    def takes(self, width_mm: float, height_mm: float, may_turn: bool = True) -> float | None:
        """Degrees by which a part of a size must be turned to fit, 0 or 90; None where it does not fit."""
        wide, high = self.usable_mm
        if width_mm <= wide and height_mm <= high:
            return 0.0
        return 90.0 if may_turn and height_mm <= wide and width_mm <= high else None


@dataclass(frozen=True, slots=True)
class Stuff:
    """How a machine cuts one ``material`` (its key): what differs from how it cuts others, 0 for what does not."""

    material: str = setting.text(setting.REQUIRED, most=300)
    speed: float = setting.number(0.0, 0.0, 10_000.0)
    force: float = setting.number(0.0, 0.0, 100_000.0)
    power: float = setting.number(0.0, 0.0, 100.0)
    passes: int = setting.whole(0, 0, 100)

    def __post_init__(self):
        check_all(self, "machines.stuffs.")


@dataclass(frozen=True, slots=True)
class Machine:
    """A machine of a kind. ``speed`` while cutting and ``travel`` between cuts, mm/s; ``acceleration``, mm/s²;
    ``corner_mm`` tolerance at corners; ``lift_s`` to lift the tool and lower it again; ``offset_mm`` of a dragged
    blade's tip behind its axis; ``overcut_mm`` past the beginning of a closed cut; ``force`` in the machine's own
    ``force_unit``; ``power`` of a laser, %; ``change_s`` to change its tool, ``load_s`` to load a sheet; ``tools`` it
    takes, in words. ``axes``: its x runs across and y up from the lower left, or x along the feed from the edge that
    goes in first; ``origin`` in that corner or in the middle. ``depth_mm`` a tool goes down a pass and ``safe_mm``
    above the stuff, where a file says so; ``dialect`` of its machine code. ``stuffs``: settings for materials."""

    key: str = setting.text(setting.REQUIRED, most=100)
    name: str = setting.text(setting.REQUIRED, most=300)
    kind: str = setting.choice(setting.REQUIRED, KINDS)
    carriers: tuple[Carrier, ...] = setting.parts(setting.REQUIRED, 1, MAX_CARRIERS)
    speed: float = setting.number(100.0, 0.1, 10_000.0)
    travel: float = setting.number(200.0, 0.1, 10_000.0)
    acceleration: float = setting.number(1000.0, 1.0, 1_000_000.0)
    corner_mm: float = setting.length(0.05, 0.0, 10.0)
    lift_s: float = setting.number(0.1, 0.0, 60.0)
    offset_mm: float = setting.length(0.0, 0.0, 10.0)
    overcut_mm: float = setting.length(0.0, 0.0, 50.0)
    passes: int = setting.whole(1, 1, 100)
    change_s: float = setting.number(60.0, 0.0, 3600.0)
    load_s: float = setting.number(60.0, 0.0, 3600.0)
    tools: str = setting.text("", most=300)
    force: float = setting.number(0.0, 0.0, 100_000.0)
    force_unit: str = setting.text("", most=40)
    power: float = setting.number(0.0, 0.0, 100.0)
    axes: str = setting.choice(UPRIGHT, AXES)
    origin: str = setting.choice(CORNER, ORIGINS)
    depth_mm: float = setting.length(1.0, 0.0, 500.0)
    safe_mm: float = setting.length(2.0, 0.0, 500.0)
    dialect: str = setting.text("", most=100)
    stuffs: tuple[Stuff, ...] = setting.parts((), 0, MAX_STUFFS)
    caution: str = setting.text("", most=500)

    def __post_init__(self):
        check_all(self, "machines.")
        for name in ("key", "name"):
            if not getattr(self, name):
                raise SettingError(f"machines.{name}", said("a short text"), getattr(self, name))
        keys = [one.key for one in self.carriers]
        if len(set(keys)) < len(keys):
            raise SettingError("machines.carriers", said("carriers of different keys"), ", ".join(keys))

    def home_on(self, width_mm: float, height_mm: float) -> tuple[float, float]:
        """Where the tool begins and ends on a sheet of a size, mm from its left and from the edge that goes in first.
        """
        if self.origin == MIDDLE:
            return width_mm / 2, height_mm / 2
        return (0.0, 0.0) if self.axes == FEED else (0.0, height_mm)

    def cutting_it(self, material: str | None) -> "Machine":
        """The machine as it cuts a material (its key)."""
        one = next((s for s in self.stuffs if s.material == material), None)
        if one is None:
            return self
        return replace(self, **{name: value for name in ("speed", "force", "power", "passes")
                                if (value := getattr(one, name))})

    @property
    def cutting(self) -> Dynamics:
        """How it moves while it cuts."""
        return Dynamics(self.speed, self.acceleration, self.corner_mm)

    @property
    def travelling(self) -> Dynamics:
        """How it moves between cuts."""
        return Dynamics(self.travel, self.acceleration, self.corner_mm)

    def carrier(self, key: str) -> Carrier | None:
        return next((one for one in self.carriers if one.key == key), None)


def from_plain(data, where: str = "machines") -> tuple[Machine, ...]:
    """Machines from plain data of any origin; raises SettingError."""
    if not isinstance(data, list) or len(data) > MAX_MACHINES:
        raise SettingError(where, said("a list of at most {most}", most=MAX_MACHINES), type(data).__name__)
    made = plain.from_plain(data, tuple[Machine, ...], where)
    keys = [one.key for one in made]
    if len(set(keys)) < len(keys):
        raise SettingError(where, said("machines of different keys"), ", ".join(keys[:5]))
    return made


def to_plain(machines) -> list[dict]:
    return plain.to_plain(tuple(machines))


def shipped() -> tuple[Machine, ...]:
    """The plain generic kinds that come with the program. Sizes are ISO 216 and the trade's inch carriers; speeds,
    accelerations and forces are from memory: the machine's manual comes first."""
    return _SHIPPED


def _inch(wide, high):
    return Carrier(f"{wide}x{high}in", f"{wide} × {high} in", wide * MM_PER_IN, high * MM_PER_IN, _INCH_MARGIN_MM,
                   _INCH_MARGIN_MM)


_MAT_MARGIN_MM, _ROLL_EDGE_MM = 6.0, 10.0
_SHIPPED = (
    Machine("blade", str(said("Blade cutter with carriers")), BLADE,
            (_inch(12, 12), _inch(12, 24),
             Carrier("A4", "A4", 210.0, 297.0, _MAT_MARGIN_MM, _MAT_MARGIN_MM),
             Carrier("A3", "A3", 297.0, 420.0, _MAT_MARGIN_MM, _MAT_MARGIN_MM)),
            speed=100.0, travel=200.0, acceleration=1500.0, corner_mm=0.05, lift_s=0.12, offset_mm=0.25,
            overcut_mm=0.5, force=10.0, tools=str(said("drag blades; a pen")),
            caution=str(said("Keep fingers and hair away from the moving head and store blades covered."))),
    Machine("roll", str(said("Roll-fed cutter")), BLADE,
            tuple(Carrier(f"roll-{wide}", f"{wide} mm", float(wide), 0.0, _ROLL_EDGE_MM, 0.0)
                  for wide in (375, 610, 760, 1220)),
            speed=400.0, travel=600.0, acceleration=4000.0, corner_mm=0.05, lift_s=0.06, offset_mm=0.25,
            overcut_mm=0.3, force=90.0, force_unit="g", axes=FEED, tools=str(said("drag blades; a pen")),
            caution=str(said("The roll moves back and forth by itself; keep hands, hair and sleeves away."))),
    Machine("laser", str(said("Laser bed")), LASER,
            (Carrier("bed", "600 × 400 mm", 600.0, 400.0, 5.0, 5.0),),
            speed=20.0, travel=300.0, acceleration=3000.0, corner_mm=0.02, lift_s=0.0, power=60.0, dialect="laser",
            caution=str(said("Laser: never chlorinated film such as PVC; extraction on, and never leave it alone."))),
    Machine("router", str(said("Router bed")), ROUTER,
            (Carrier("bed", "600 × 900 mm", 600.0, 900.0, 10.0, 10.0),),
            speed=25.0, travel=80.0, acceleration=500.0, corner_mm=0.02, lift_s=1.5, passes=2, change_s=180.0,
            load_s=300.0, tools=str(said("end mills, V cutters")), depth_mm=3.0, safe_mm=5.0, dialect="knife",
            caution=str(said("Router: clamp the stuff, guard eyes, ears and lungs, and mind fire from dull tools."))),
    Machine("pen", str(said("Pen plotter")), PEN,
            (Carrier("A3", "A3", 297.0, 420.0, 5.0, 5.0), Carrier("A4", "A4", 210.0, 297.0, 5.0, 5.0)),
            speed=150.0, travel=250.0, acceleration=2000.0, corner_mm=0.1, lift_s=0.15, dialect="pen"),
)
