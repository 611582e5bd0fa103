"""What can be asked of, and decided about, the regions of one work."""

from dataclasses import dataclass, replace
from functools import cached_property
from weakref import WeakKeyDictionary

import numpy as np

from sketchloom.core.base.colour import from_hex
from sketchloom.core.edits.choosing import RegionSizes, region_picture
from sketchloom.core.edits.decisions import COLOUR, DROP, KEEP, OWN_SHEET, WINDOW, RegionEdit
from sketchloom.core.edits.enclosing import enclosed_with
from sketchloom.core.edits.joints import Joints, joints_of
from sketchloom.core.edits.motifs import among, ring_of
from sketchloom.core.edits.region_edits import find_regions, inner_place, own_hex, with_edits
from sketchloom.core.edits.together import enclosed, together
from sketchloom.core.layers import gathering, ways
from sketchloom.core.layers.layering import connected_pieces
from sketchloom.core.picture.preparing.mirroring import Halves
from sketchloom.core.picture.preparing.placing import growth, moved
from sketchloom.core.planar.cracks import OUTSIDE
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.segment import tone
from sketchloom.core.segment.patching import faces_within
from sketchloom.desk.lines import outline_label
from sketchloom.desk.uncut import reason_of_faces
from sketchloom.desk.ways import gathering_colours
from sketchloom.evaluate.segmenting import BROUGHT_DELTA, nearest_entry
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe

_WHITE = "#ffffff"


_COMPLETED = 1.5
"""An outline with no more cells than so many times a ring's completes the ring (common practice, no source)."""
_BESIDE = 8
"""Cells beside the middle of a flower that are asked for their ring."""
_CARRIED = 300
"""Chosen regions that are looked for again in another trace: a second or so."""
_sizes: WeakKeyDictionary = WeakKeyDictionary()
_FEW = 12
"""Regions that are named one by one."""


def sizes_of(work: Work) -> RegionSizes:
    """Areas, centres and shapes of a work's regions; of one map they are worked out once."""
    if work.traced not in _sizes:
        _sizes[work.traced] = RegionSizes(work.traced.planar, work.traced.arc_length_px)
    return _sizes[work.traced]


def _build_of(work: Work):
    """What else than the depth of its faces tells how a work looks."""
    hidden = {plan.key for plan in work.plans if plan.hidden}
    return work.mm_per_px, work.laying.way, hidden, bool(work.recipe.rims), work.draws_with_pens


def changed_boxes(before: Work, after: Work, index: RegionIndex) -> list[tuple[float, float, float, float]] | None:
    """Boxes in mm of the faces that look different in another work of the same curves; None where too much is."""
    if before.traced is not after.traced or _build_of(before) != _build_of(after) or after.recipe.rims:
        return None
    if after.draws_with_pens:
        return None
    looks = [np.append([plan.hex for plan in work.plans] or ["-"], "")[work.depth] for work in (before, after)]
    faces = np.flatnonzero(looks[0] != looks[1])
    if len(faces) > _FEW:
        return None
    return [_scaled(index.box(face), after.mm_per_px) for face in faces.tolist()]


@dataclass(frozen=True, slots=True)
class Likeness:
    """What makes regions alike: colour and size within a ``factor`` (None for any), or their shape; everywhere, or only
    in one design."""

    factor: float | None = None
    is_of_shape: bool = False
    is_in_design: bool = False


class RegionDesk:
    """Regions of a work by their faces. ``index`` tells what lies where."""

    def __init__(self, work: Work, index: RegionIndex):
        self.work, self.index = work, index
        self._hexes = [e.hex for e in work.segmentation.entries]
        self._places: dict[int, tuple[float, float]] = {}

    @cached_property
    def sizes(self) -> RegionSizes:
        return sizes_of(self.work)

    @cached_property
    def edit_of_face(self) -> dict[int, int]:
        """Number of the last edit in force on each face."""
        edits = self.work.recipe.edits
        return {face: n for n, face in enumerate(self.work.edited.found.tolist()) if face >= 0 and edits[n].on}

    @cached_property
    def edit_over_face(self) -> dict[int, int]:
        """As ``edit_of_face``, and for faces on the other half of a mirrored picture the edit that holds there too."""
        edits = self.work.recipe.edits
        twins = {face: n for n, face in enumerate(self.work.edited.twin.tolist()) if face >= 0 and edits[n].on}
        return twins | self.edit_of_face

    def hex_of(self, face: int) -> str:
        """Colour the face has now."""
        return self._hex(self.work.edited.label[face])

    def _hex(self, label):
        return self._hexes[label] if label < len(self._hexes) else _WHITE

    def area_mm2(self, face: int) -> float:
        return float(self.sizes.area[face]) * self.work.mm_per_px**2

    def picture(self, face: int) -> np.ndarray:
        """A small square picture of a face, as of ``region_picture``."""
        colours = np.array([from_hex(h) for h in self._hexes])
        return region_picture(self.work.traced.planar, colours, self.work.edited.label, face, self.index.box(face))

    def looks(self, recipe: Recipe, faces) -> list[str | None]:
        """Colour that faces will have with other edits, None for the ground: known before anything is cut."""
        work = self.work
        brought = [h for h in dict.fromkeys(e.hex for e in recipe.edits if e.action == COLOUR)
                   if nearest_entry(work.segmentation.entries, h)[1] > BROUGHT_DELTA]
        brought += [
            h for h in dict.fromkeys(e.hex for e in recipe.edits if e.action in OWN_SHEET) if h not in self._hexes
        ]
        # a colour brought just now has no label yet; what is transparent has the one after all entries
        ground_label = len(self._hexes)
        entries = [*self._hexes, _WHITE, *brought]
        after = with_edits(
            work.traced.planar, work.edited.was_ground, entries, entries, work.move, recipe.edits, recipe.all_off,
            None if recipe.preparation.mirror is None else Halves.of(recipe.preparation.mirror),
        )
        hex_of = {label: plan.hex for plan in work.plans for label in plan.labels if label < ground_label}
        return [
            None if after.ground[face] else hex_of.get(int(after.label[face]), entries[after.label[face]])
            for face in faces
        ]

    def split_lines(self) -> list[np.ndarray]:
        """Split lines that part something, (S, 4, 2) cubics each, px."""
        cut = self.work.segmentation.cut_in
        return (
            []
            if cut is None
            else [chain.controls for group in cut.guides.groups for chain in group if not chain.closed]
        )

    # -- choosing --------------------------------------------------------------------

    def smallest(self, most: int | None = None) -> list[int]:
        """The smallest regions that are cut and not dropped, the smallest first."""
        there = ~self.work.ground
        there[[face for face, n in self.edit_of_face.items() if self.work.recipe.edits[n].action == DROP]] = False
        return self.sizes.by_size(there)[:most].tolist()

    def within(self, points) -> list[int]:
        """Regions most of which lies in a polygon, in shares of the prepared picture's sides."""
        planar = self.work.traced.planar
        return np.flatnonzero(faces_within(planar.faces, points, planar.face_area_px)).tolist()

    def alike(self, face: int, likeness: Likeness) -> list[int]:
        """Faces that are like one, itself among them."""
        found = self.sizes.alike(face, self.work.edited.label, likeness.factor, likeness.is_of_shape)
        return (found[self.designs[found] == self.designs[face]] if likeness.is_in_design else found).tolist()

    @cached_property
    def designs(self) -> np.ndarray:
        """(F,) number of the design that each face belongs to: what hangs together without the outside."""
        return connected_pieces(self.work.traced.planar, ~self.outside)

    @cached_property
    def uncut(self) -> np.ndarray:
        """(F,) number of the reason why each face is not cut, -1 for what is."""
        return reason_of_faces(self.work)

    @cached_property
    def outside(self) -> np.ndarray:
        """(F,) bool: the ground around the drawing, up to the picture's edge."""
        planar = self.work.traced.planar
        touching = np.zeros(planar.face_count, bool)
        touching[planar.right[planar.left == OUTSIDE]] = True
        return touching & self.work.edited.was_ground

    @cached_property
    def outlines(self) -> np.ndarray:
        """(F,) bool: faces of the ink, or of the dark colour that outlines are drawn in."""
        label = outline_label(self.work)
        face_label = self.work.traced.planar.face_label
        return np.zeros(len(face_label), bool) if label is None else face_label == label

    def swept_along(self, first: int, face: int, action: str) -> bool:
        """Whether a sweep that began on one face takes another along: it crosses outlines on its way from cell to cell,
        and ground on its way from speck to speck."""
        if self.outlines[face] != self.outlines[first]:
            return False
        return action == COLOUR or bool(self.work.ground[face]) == bool(self.work.ground[first])

    def ring(self, face: int) -> tuple[int, ...]:
        """Cells alike around one centre, in their order, a face first; the face alone where there are none."""
        cells = np.flatnonzero(~self.outlines & ~self.outside)
        if face not in cells:
            return (face,)
        found = ring_of(self.sizes.centre[cells], self.sizes.area[cells], int(np.searchsorted(cells, face)))
        return (face,) if found is None else tuple(cells[found.members].tolist())

    def motif(self, face: int) -> tuple[int, ...]:
        """What a person sees as one thing: a ring of cells and what lies among them (a flower with its middle), else
        what one outline encloses (a wing)."""
        cells = np.flatnonzero(~self.outlines & ~self.outside)
        if face not in cells:
            return (face,)
        places, areas = self.sizes.centre[cells], self.sizes.area[cells]
        number = int(np.searchsorted(cells, face))
        found = [np.array([number])]
        # the middle of a flower belongs to the ring around it, though with two petals it may be a ring too
        for one in np.argsort(np.hypot(*(places - places[number]).T), kind="stable").tolist()[:_BESIDE]:
            ring = ring_of(places, areas, one)
            if ring is not None:
                members = np.concatenate([ring.members, among(places, areas, ring)])
                if number in members:
                    found.append(members)
        ring = cells[max(found, key=len)]
        is_cell = ~self.outlines & ~self.outside
        enclosed = enclosed_with(self.work.traced.planar.faces, self.outlines, is_cell, face)
        # a flower in a panel is the flower; an outline with a few cells more is the whole of it, and what is alike
        # around one centre by chance, on four wings, is none
        is_flower = np.isin(ring, enclosed).all() and len(enclosed) > _COMPLETED * len(ring)
        return tuple((enclosed if (len(enclosed) > 1 and not is_flower) or len(ring) == 1 else ring).tolist())

    def in_turns(self, recipe: Recipe, faces, hexes) -> Recipe:
        """The recipe in which faces get some colours by turns."""
        for number, hex_colour in enumerate(hexes):
            mine = [face for face in faces[number::len(hexes)] if not self.is_so(face, COLOUR, hex_colour)]
            if mine:
                recipe = self.decided(recipe, mine, COLOUR, hex_colour)
        return recipe

    def joints(self, face: int) -> Joints:
        """Thin places of a region, at which a person may take it for two."""
        x0, y0, x1, y1 = (int(v) for v in self.index.box(face))
        found = joints_of(self.work.traced.planar.faces[y0:y1, x0:x1] == face)
        return replace(found, start=found.start + (x0, y0), end=found.end + (x0, y0))

    def others(self, only: str) -> np.ndarray:
        """(F,) bool: regions that are cut and not asked for: ``only`` a colour, or ``changed``."""
        edited = self.work.edited
        if only == "changed":
            wanted = edited.changed
        else:
            wanted = (
                np.array([*self._hexes, _WHITE])[np.minimum(edited.label, len(self._hexes))] == only
            ) & ~self.work.ground
        return ~wanted & ~self.work.ground

    # -- deciding --------------------------------------------------------------------

    def is_so(self, face: int, action: str, hex_colour: str | None) -> bool:
        """Whether a region already is as an action would make it; an action that is so is taken back by the next."""
        if action == COLOUR:
            return not self.work.ground[face] and self.hex_of(face) == hex_colour
        number = self.edit_over_face.get(face)
        if number is None:
            return False
        return self.work.recipe.edits[number].action == action

    def decided(self, recipe: Recipe, faces, action: str, hex_colour: str | None = None) -> Recipe:
        """The recipe in which regions are dropped, opened, coloured or kept. Of what was decided about them before, the
        last stays beneath, for ``taken_back``."""
        faces = [face for face in dict.fromkeys(faces) if not self.is_locked(face)]
        rest, made = self._without(recipe, faces), []
        for face in faces:
            number = self.edit_of_face.get(face)
            before = None if number is None else self.work.recipe.edits[number]
            # what is so already stays as it was decided; a region on a sheet of its own has that sheet's colour: asked
            # for again it would get another sheet
            again = before is not None and before.action == action and (
                action in OWN_SHEET or before.hex == (hex_colour if action == COLOUR else None))
            edit = before if again else self._edit(face, action, hex_colour)
            made += [edit] if before in (None, edit) else [before, edit]
        return replace(recipe, edits=(*rest, *made))

    def taken_back(self, recipe: Recipe, faces) -> Recipe:
        """The recipe in which regions are as they were before the last decision about each."""
        over = self.edit_over_face
        gone = {self.work.recipe.edits[over[face]] for face in faces if face in over and not self.is_locked(face)}
        return replace(recipe, edits=tuple(edit for edit in recipe.edits if edit not in gone))

    def gathered(self, recipe: Recipe, rule: str, sheets: int) -> Recipe:
        """The recipe of line art whose enclosed regions are gathered into so many sheets below the ink, which lies
        uppermost."""
        work, planar = self.work, self.work.traced.planar
        rgb = gathering_colours(work) if rule == ways.COLOURS else None
        faces, sheet = gathering.gathered(planar, planar.face_label == tone.INK, rule, sheets, rgb)
        colours = gathering.sheet_colours(sheets) if rgb is None else gathering.mean_colours(planar, faces, sheet, rgb)
        rest = self._without(recipe, faces.tolist())
        made = tuple(
            self._edit(face, COLOUR, colours[k]) for face, k in zip(faces.tolist(), sheet.tolist(), strict=False)
        )
        return replace(recipe, edits=(*rest, *made), order=(*colours, work.segmentation.entries[tone.INK].hex))

    def _of_faces(self, faces):
        chosen = np.zeros(self.work.traced.planar.face_count, bool)
        chosen[list(faces)] = True
        return chosen

    def together(self, recipe: Recipe, faces, way: str) -> Recipe:
        """The recipe in which several regions are one: ``way`` as of ``together``; the first gives the colour."""
        made, gone = together(self.work.traced.planar, [self._of_faces([face]) for face in faces], way)
        hex_colour = self.hex_of(faces[0])
        other = made & ((self.work.edited.label != self.work.edited.label[faces[0]]) | self.work.ground)
        recipe = self.decided(recipe, np.flatnonzero(other).tolist(), COLOUR, hex_colour)
        return self.decided(recipe, np.flatnonzero(gone & ~self.work.ground).tolist(), WINDOW)

    def holes(self, faces) -> list[float]:
        """How many mm across each hole of some regions is (a disc of its area), the smallest first."""
        area = enclosed(self.work.traced.planar, self._of_faces(faces)).area_px
        return sorted((2 * (area / np.pi) ** 0.5 * self.work.mm_per_px).tolist())

    def filled(self, recipe: Recipe, faces, under_mm: float = np.inf) -> Recipe:
        """The recipe in which what regions enclose, each alone or all together, gets the colour of the one it touches
        most, hole by hole; only holes less than so much across."""
        planar, chosen = self.work.traced.planar, self._of_faces(faces)
        found = enclosed(planar, chosen)
        small = 2 * (found.area_px / np.pi) ** 0.5 * self.work.mm_per_px < under_mm
        length = self.work.traced.arc_length_px
        for number in np.flatnonzero(small).tolist():
            hole = found.hole == number
            one, two = np.append(hole, False), np.append(chosen, False)
            around = np.zeros(planar.face_count)
            for inner, outer in ((planar.left, planar.right), (planar.right, planar.left)):
                use = one[inner] & two[outer]
                around += np.bincount(outer[use], length[use], planar.face_count)
            recipe = self.decided(recipe, np.flatnonzero(hole).tolist(), COLOUR, self.hex_of(int(around.argmax())))
        return recipe

    def is_locked(self, face: int) -> bool:
        """Whether the layer that shows a face is locked."""
        level = int(self.work.depth[face])
        return bool(self._locked) and 0 <= level < len(self.work.plans) and self.work.plans[level].key in self._locked

    @cached_property
    def _locked(self):
        return {edit.key for edit in self.work.recipe.layers if edit.locked}

    def undecided(self, recipe: Recipe, faces) -> Recipe:
        """The recipe in which regions are as they were traced."""
        return replace(recipe, edits=self._without(recipe, [face for face in faces if not self.is_locked(face)]))

    def _without(self, recipe, faces):
        # not by their places: the recipe may be ahead of this work, by decisions made just before
        gone, found = set(faces), self.work.edited.found.tolist()
        known = {edit for edit, face in zip(self.work.recipe.edits, found, strict=True) if face in gone}
        return tuple(edit for edit in recipe.edits if edit not in known)

    def knows_place(self, face: int) -> bool:
        """Whether a place in a face was looked for already, which takes a moment."""
        return face in self._places

    def inner_place(self, face: int) -> tuple[float, float]:
        """A place well inside a face, px."""
        if face not in self._places:
            self._places[face] = inner_place(self.work.traced.planar, face, self.index.box(face))
        return self._places[face]

    def remembered(self, faces) -> tuple[RegionEdit, ...]:
        """Regions as they are kept, to be found again in another result."""
        return tuple(self._edit(face, KEEP, None) for face in faces)

    def found_again(self, kept) -> tuple[int, ...]:
        """Faces of regions that were remembered, less those that are gone."""
        found = find_regions(self.work.traced.planar, [*self._hexes, _WHITE], self.work.move, kept)
        return tuple(dict.fromkeys(f for f in found.tolist() if f >= 0))

    def carried_from(self, before: "RegionDesk", faces) -> tuple[int, ...]:
        """Regions of an earlier result as they are here; of very many none, as each is looked for by itself."""
        if before.work.traced is self.work.traced:
            return tuple(faces)
        return self.found_again(before.remembered(faces)) if len(faces) <= _CARRIED else ()

    def _edit(self, face, action, hex_colour):
        work, planar = self.work, self.work.traced.planar
        x, y = self.inner_place(face)
        share = np.array([[x / planar.width, y / planar.height]])
        place = moved(np.linalg.inv(work.move), share)
        area = float(planar.face_area_px[face]) / planar.faces.size / float(growth(work.move, place)[0])
        if action in OWN_SHEET:
            hex_colour = own_hex(self.hex_of(face), action)
        return RegionEdit(
            round(float(place[0, 0]), 7),
            round(float(place[0, 1]), 7),
            action,
            self._hex(planar.face_label[face]),
            area,
            hex_colour if action in (COLOUR, *OWN_SHEET) else None,
        )


def _scaled(box, by: float) -> tuple[float, float, float, float]:
    left, top, right, bottom = (v * by for v in box)
    return left, top, right, bottom
