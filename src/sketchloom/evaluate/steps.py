"""Steps of an evaluation: each says which settings it reads, is handed those alone, and is kept by them."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from sketchloom.core.base.progress import breathe
from sketchloom.evaluate.cache import Cache
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.reads import Reads


@dataclass(frozen=True, slots=True)
class Steps:
    """Runs steps for one recipe and keeps their results."""

    cache: Cache
    recipe: Recipe

    def reads(self, *names: str) -> Reads:
        """Some settings and no others."""
        return Reads(self.recipe, names)

    def run(self, name: str, reads: tuple[str, ...], upon: tuple, make: Callable[[Reads], Any]) -> tuple[Any, tuple]:
        """The result of a step, and its key.

        Parameters
        ----------
        reads : the settings that ``make`` is handed. upon : keys of the results that it uses beside them.
        """
        call, key = self.later(name, reads, upon, make)
        return call(), key

    def later(
        self, name: str, reads: tuple[str, ...], upon: tuple, make: Callable[[Reads], Any]
    ) -> tuple[Callable[[], Any], tuple]:
        """The same, done once it is called for: what only leads to a result that is kept need not be there any more."""
        def begun(view):
            breathe()
            return make(view)
        view = self.reads(*reads)
        key = (name, view, *upon)
        return (lambda: self.cache.keep(key, lambda: begun(view))), key
