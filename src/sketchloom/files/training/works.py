"""Exercises that are about a work: the order of its sheets, where a sheet is divided; and about settings."""

from dataclasses import replace

import cv2
import numpy as np
import shapely

from sketchloom.core.base.colour import from_hex
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.raster import filled
from sketchloom.core.base.said import said
from sketchloom.core.logbook.trials import KNOWN, Guesses
from sketchloom.core.sheets import machine as machines
from sketchloom.desk.ways import orders_offered
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.planning import area_of_layer, plans_of, rooms
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import Pages
from sketchloom.files.training.exercise import DIVIDE, ORDER, TEARS, Choice, Exercise, Shuffled
from sketchloom.recipe.document import Recipe

_LONGEST_PX = 520
_APART = 0.04
"""Orders whose cutting differs by less than this share are no question."""
_SEEN_APART_MM = 8.0
_MANY = 24


def _work(pipeline: Pipeline, key: str, change=lambda recipe: recipe):
    project = demo(key).project()
    recipe: Recipe = change(project.recipe)
    return pipeline.evaluate(Pages(project.source, project.source_name).picture(recipe), recipe)


def picture_of(work, longest_px: int = _LONGEST_PX, order=None) -> np.ndarray:
    """(H, W, 3) uint8: layers of a work as they lie, base first; only those of an ``order`` where it is said."""
    wide, high = work.size_mm
    scale = longest_px / max(wide, high)
    made = np.full((round(high * scale), round(wide * scale), 3), 250, np.uint8)
    for layer in work.layers:
        if order is not None and layer.plan.key not in order:
            continue
        area = area_of_layer(Cache(), work, layer)
        rings = [np.asarray(r.coords)[:-1] * scale for p in getattr(area, "geoms", [area])
                 for r in (p.exterior, *p.interiors)]
        if rings:
            made[filled(rings, made.shape[:2])] = from_hex(layer.plan.hex)
    return made


def order(seed: int) -> Exercise:
    """Three orders of a work's sheets, of which one is cut least."""
    work = _work(Pipeline(), "lighthouse")
    offers = sorted(orders_offered(work), key=lambda one: one.cut_mm)
    best = offers[0]
    rng = np.random.default_rng(seed)
    others = [one for one in offers[1:] if one.cut_mm > best.cut_mm * (1 + _APART)]
    if len(others) < 2:
        raise AppError(said("No exercise could be made of this picture; take another one."))
    three = [best, *(others[n] for n in rng.choice(len(others), 2, replace=False))]
    names = {plan.key: plan.name for plan in work.plans}
    hexes = {plan.key: plan.hex for plan in work.plans}
    shuffled = Shuffled(seed)
    return Exercise(
        ORDER, seed, said("The sheets are laid from the left to the right, the base first. Which order is cut least?"),
        said("Its outlines take {cut:.0f} mm and {pieces} pieces; the others {one:.0f} and {two:.0f} mm. A sheet is "
             "cut wherever it ends in sight: what lies low under others needs no windows and few edges.",
             cut=best.cut_mm, pieces=best.pieces, one=three[1].cut_mm, two=three[2].cut_mm),
        picture_of(work),
        shuffled.of([Choice(" → ".join(names[key] for key in one.order), _swatches([hexes[k] for k in one.order]))
                     for one in three]), shuffled.where(0))


def _swatches(hexes):
    made = np.full((44, 44 * len(hexes), 3), 250, np.uint8)
    for n, one in enumerate(hexes):
        cv2.rectangle(made, (44 * n + 4, 4), (44 * n + 39, 39), from_hex(one), -1)
        cv2.rectangle(made, (44 * n + 4, 4), (44 * n + 39, 39), (90, 81, 69), 1)
    return made


def divide(seed: int) -> Exercise:
    """Three straight seams of a base that no carrier takes; the best is seen least, as upper sheets cover it."""
    machine = next(m for m in machines.shipped() if m.key == "blade")
    work = _work(Pipeline(), "banner", lambda r: replace(r, machine=machine, carrier="auto"))
    cache = Cache()
    base = work.layers[0]
    area = area_of_layer(cache, work, base)
    above = shapely.union_all([area_of_layer(cache, work, layer) for layer in work.layers[1:]])
    left, top, right, bottom = area.bounds
    room = max((max(one.wide, one.high) for one in rooms(work.recipe, machine, None)), default=0.0)
    fits = [x for x in np.linspace(left, right, _MANY + 2)[1:-1].tolist() if max(x - left, right - x) <= room]
    visible = area.difference(above)
    seen = {x: shapely.LineString([(x, top), (x, bottom)]).intersection(visible).length for x in fits}
    ranked = sorted(fits, key=lambda x: seen[x])
    rng = np.random.default_rng(seed)
    worse = [x for x in ranked if seen[x] > seen[ranked[0]] + _SEEN_APART_MM] if ranked else []
    if len(worse) < 2:
        raise AppError(said("No exercise could be made of this picture; take another one."))
    three = [ranked[0], *(worse[n] for n in rng.choice(len(worse), 2, replace=False))]
    plan = next(plans_of((work,)))
    own = next((d for d in plan.divided.values() if len(d.parts) > 1), None)
    picture = picture_of(work)
    scale = max(picture.shape[:2]) / max(work.size_mm)
    places = sorted(three)
    for n, x in enumerate(places):
        at = round(x * scale)
        cv2.line(picture, (at, 0), (at, picture.shape[0]), (255, 255, 255), 5)
        cv2.line(picture, (at, 0), (at, picture.shape[0]), (156, 58, 48), 2)
        cv2.putText(picture, "ABC"[n], (at + 5, 18), cv2.FONT_HERSHEY_SIMPLEX, 0.6, (255, 255, 255), 4, cv2.LINE_AA)
        cv2.putText(picture, "ABC"[n], (at + 5, 18), cv2.FONT_HERSHEY_SIMPLEX, 0.6, (156, 58, 48), 2, cv2.LINE_AA)
    return Exercise(
        DIVIDE, seed, said("The lowest sheet is wider than the carrier. Which seam is seen least once all is laid?"),
        said("Of it {best:.0f} mm lie in sight, as upper sheets cover the rest; of the others {one:.0f} and {two:.0f} "
             "mm. With margins and room for joints, the program's own division (seams: {count}, not straight) shows "
             "{own:.0f} mm in all, the best straight one {straight:.0f}.", best=seen[three[0]],
             one=seen[three[1]], two=seen[three[2]], count=0 if own is None else len(own.seams),
             own=0.0 if own is None else own.seen, straight=0.0 if own is None else own.straight_seen),
        picture, tuple(Choice("ABC"[n]) for n in range(3)), places.index(three[0]))


def tears(seed: int) -> Exercise:
    """Two settings on a material that was not tried yet; one of them more likely tears."""
    rng = np.random.default_rng(seed)
    family = list(KNOWN)[seed % len(KNOWN)]
    known, guesses = KNOWN[family], Guesses(family)
    slow = float(np.clip(round(known.speed * rng.uniform(0.25, 0.5) / 10) * 10, 10, 400))
    fast = float(np.clip(round(known.speed * rng.uniform(1.5, 2.2) / 10) * 10, 30, 700))
    gentle, hard = (float(round(known.force * f / 5) * 5) for f in (1.05, rng.uniform(1.1, 1.3)))
    two = [(hard if rng.random() < 0.5 else gentle, fast), (hard, slow)]
    chance = [float(guesses.chances(*one)[3] @ guesses.weight) for one in two]
    best = int(np.argmax(chance))
    shuffled = Shuffled(seed, count=2)
    return Exercise(
        TEARS, seed, said("A {family} that nobody tried yet. With which setting do corners more likely tear?",
                          family=said(family)),
        said("{force:g} at {speed:g} mm/s tears in {high:.0f} of 100, the other in {low:.0f}, by what is known of the "
             "family: it bears about {limit:.0f} mm/s, and it is the speed that pulls at corners. More force cuts too "
             "deep before it tears. These values are from memory: the machine's manual and a test cut come first.",
             force=two[best][0], speed=two[best][1], high=100 * chance[best], low=100 * chance[1 - best],
             limit=known.speed),
        None, shuffled.of([Choice(said("Force {force:g}, speed {speed:g} mm/s", force=f, speed=s)) for f, s in two]),
        shuffled.where(best))


