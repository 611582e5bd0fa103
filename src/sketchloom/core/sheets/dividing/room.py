"""The rooms that carriers give a piece, and which of them it fits."""

from dataclasses import dataclass, replace

from sketchloom.core.sheets.choices import BUTT


@dataclass(frozen=True, slots=True)
class Room:
    """What the largest part may be, ``wide`` and ``high`` mm, on which ``carrier``, and whether ``turned`` by 90°."""

    wide: float
    high: float
    carrier: str
    turned: bool

    def takes(self, size) -> bool:
        return size[0] <= self.wide + 1e-6 and size[1] <= self.high + 1e-6


def rooms_of(carriers, gap_mm: float, may_turn: bool) -> list[Room]:
    """What fits carriers: (key, usable width, usable height, infinite for a roll) each; ``gap_mm`` kept from the edges
    of what can be cut."""
    made = []
    for key, wide, high in carriers:
        wide, high = wide - 2 * gap_mm, high - 2 * gap_mm
        made.append(Room(wide, high, key, False))
        if may_turn:
            made.append(Room(high, wide, key, True))
    return [room for room in made if room.wide > 0 and room.high > 0]


def fitting(size, rooms) -> Room | None:
    """The smallest room that takes a size as it is."""
    good = [room for room in rooms if room.takes(size)]
    return min(good, key=lambda room: (room.wide * room.high, room.turned), default=None)


def rooms_beside_joint(rooms, joint: str, joint_mm: float) -> list[Room]:
    """What is left of rooms for a part, so that what a joint has reach over the seam fits, too."""
    kept = 0.0 if joint == BUTT else joint_mm
    return [replace(r, wide=r.wide - kept, high=r.high - kept) for r in rooms if min(r.wide, r.high) > kept]
