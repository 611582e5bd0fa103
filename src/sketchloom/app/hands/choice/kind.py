"""What every kind of thing that can be chosen answers and does."""

from dataclasses import dataclass
from typing import Any

import numpy as np
from PySide6.QtCore import QObject


@dataclass(frozen=True, slots=True, eq=False)
class Around:
    """What the kinds work with: the window's parts, and the hands that do the work."""

    bench: Any
    session: Any
    panel: Any
    cleaning: Any
    together: Any
    drawing: Any

    @property
    def desk(self):
        """What can be asked of the exact result shown, None without one."""
        return self.drawing.desk


class Kind(QObject):
    """A kind of thing; numbers are of its things on the map that is shown."""

    code = ""
    several = True
    """Whether several of them can be chosen."""
    takes_any_colour = True
    """Whether they can be given a colour that the picture has not."""
    foremost: frozenset[str] = frozenset()
    """Acts that stand in the strip here, seldom as they are elsewhere."""
    is_of_recipe = False
    """Whether they are other things, with other numbers, as soon as something is decided."""

    def __init__(self, around: Around, parent=None):
        super().__init__(parent)
        self._around = around

    def under(self, x: float, y: float, reach: float) -> list[int]:
        """Numbers of what lies under a place (px), the uppermost first."""
        return []

    def courses(self, number: int) -> list[np.ndarray]:
        """Its outline, px: rings of cubics (S, 4, 2), or lines (N, 2)."""
        return []

    def faces(self, number: int) -> tuple[int, ...]:
        """The faces of the map that it is made of, where it is made of whole ones."""
        return ()

    def in_turn(self) -> list[int]:
        """All there are, in the order in which keys step through them."""
        return []

    @property
    def is_known(self) -> bool:
        """Whether what they are of is there to be asked."""
        return self._around.desk is not None

    def colours(self, numbers) -> tuple[str, ...] | None:
        """Colours that these can be given; None for all that the picture and the hand have."""
        return None

    def show_tool(self) -> None:
        """The tool that goes with the choice is held: what it shows is brought up to date."""

    def words(self, numbers) -> str:
        """What is chosen, with its figures."""
        return ""

    def short(self, number: int) -> str:
        """The same of one that the pointer is over: what is known at once."""
        return self.words((number,))

    def leads_to(self, act: str, numbers):
        """The things that an act chooses instead; None for an act that does something."""
        return

    def possible(self, numbers) -> set[str]:
        """Names of the acts that can be done now."""
        return set()

    def do(self, act: str, numbers, hex_colour: str | None = None) -> None:
        """Do an act."""

    def take(self, numbers, places) -> None:
        """These are chosen now, each at a place or None; none, where others are."""

    def tool(self, numbers):
        """The tool that goes with the choice, if any."""
        return

    def kept(self, numbers, places):
        """The things as they are found again on another map, chosen at places or not."""
        return

    def again(self, kept) -> tuple[int, ...]:
        """Their numbers there."""
        return ()
