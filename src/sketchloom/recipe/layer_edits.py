"""What is decided about several layers at once: lock, hide, leave out, move, merge, part, group."""

from sketchloom.recipe.document import Recipe


def in_their_groups(recipe: Recipe, keys) -> tuple[str, ...]:
    """Keys with those of all layers that share a group with one of them."""
    groups = {recipe.edit_of(key).group for key in keys} - {None}
    return tuple(sorted({*keys, *(e.key for e in recipe.layers if e.group in groups)}))


def edited(recipe: Recipe, keys, **changes) -> Recipe:
    """The same decided about each of several layers."""
    for key in keys:
        recipe = recipe.with_edit(key, **changes)
    return recipe


def moved(order, keys, by: int) -> tuple[str, ...]:
    """An order, from the base, with those named one place higher (1) or lower (-1); they keep their own order, and
    what is at an end stays there."""
    order = list(order)
    places = [n for n, key in enumerate(order) if key in keys]
    for at in reversed(places) if by > 0 else places:
        other = at + by
        if 0 <= other < len(order) and order[other] not in keys:
            order[at], order[other] = order[other], order[at]
    return tuple(order)


def at_base(order, keys) -> tuple[str, ...]:
    """An order with those named under all others."""
    return (*(key for key in order if key in keys), *(key for key in order if key not in keys))


def merged(recipe: Recipe, order, keys) -> Recipe:
    """One layer with the one below it; several become one with the lowest of them."""
    chosen = [key for key in order if key in keys]
    if len(chosen) == 1:
        at = list(order).index(chosen[0])
        chosen = [order[at - 1], chosen[0]] if at > 0 else chosen
    return edited(recipe, chosen[1:], merged_into=chosen[0]) if len(chosen) > 1 else recipe


def parted(recipe: Recipe, keys) -> Recipe:
    """What was merged into those named is layers of its own again."""
    return edited(recipe, [e.key for e in recipe.layers if e.merged_into in keys], merged_into=None)


def grouped(recipe: Recipe, order, keys, name: str) -> Recipe:
    """Those named share a group: the one that the lowest of them that has one is in, else a new one."""
    known = [recipe.edit_of(key).group for key in order if key in keys and recipe.edit_of(key).group]
    return edited(recipe, [key for key in order if key in keys], group=known[0] if known else name)
