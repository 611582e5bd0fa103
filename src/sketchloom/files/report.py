"""The JSON report of a trace."""

import json
from collections.abc import Sequence
from pathlib import Path

from sketchloom import __version__
from sketchloom.core.base.plain import encoded
from sketchloom.core.layers.ways import PROPOSED, RULES
from sketchloom.core.preflight.findings import STOP, Finding
from sketchloom.desk import figures
from sketchloom.desk.preflight import checks_of, checks_of_all
from sketchloom.desk.ways import line_art_ladder, orders_offered, sheets_on_each_other, ways_compared
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.files.sheet_files import plan_told, sheets_told

_SOURCE_CODES = "source."


def peak_mb() -> float:
    """The most memory this program has held, MB; what getrusage says begins with that of who started it."""
    for line in Path("/proc/self/status").read_text().splitlines():
        if line.startswith("VmHWM:"):
            return int(line.split()[1]) / 1024
    return 0.0


def report_of(work: Work, source_file: str, timings_s: dict, *, compared: bool = False,
              plan: WorkPlan | None = None, of_files: tuple[Finding, ...] | None = None, carved=None) -> dict:
    """Plain data of a report; see docs/formats.md for its keys. ``compared``: with what other choices would cost.
    ``plan``: with the sheets that go into the machine. ``of_files``: what was found in the files, where they were read
    back. ``carved``: a work that a router carves (``files/carving.py``), whose findings are said in turn."""
    found = (*work.findings, *(() if plan is None else plan.findings), *(() if carved is None else carved.findings),
             *(of_files or ()))
    return {
        "source": _source(work, source_file),
        "palette": [
            {"hex": e.hex, "share": round(share, 6)}
            for e, share in zip(work.segmentation.entries, figures.label_shares(work), strict=False)
        ],
        "cells": work.traced.planar.face_count,
        "layers": [{**_layer(layer, work.mm_per_px), **sheet}
                   for layer, sheet in zip(work.layers, _sheets(work), strict=False)],
        "layering": _layering(work),
        **(_compared(work) if compared and not work.draws_with_pens else {}),
        "strokes": [
            {"width_mm": round(width, 3), "length_mm": round(length, 3)} for width, length in figures.strokes_mm(work)
        ],
        **({} if plan is None else {"sheets": sheets_told(plan), "plan": plan_told(plan)}),
        **({} if carved is None else {"carving": carved.told(work.picture.name)}),
        "explained_share": None if work.unlike is None else round(work.unlike.explained, 5),
        "findings": [_finding(f, work.mm_per_px) for f in found],
        **_checked(found, checks_of(work, plan, of_files, of_carving=None if carved is None else carved.findings)),
        "timings_s": {name: round(seconds, 4) for name, seconds in timings_s.items()},
        "peak_memory_mb": round(peak_mb(), 1),
        "version": __version__,
    }


def report_of_sheets(works: Sequence[Work], plan: WorkPlan, of_files: tuple[Finding, ...]) -> dict:
    """Plain data of a report of the sheets that several works share: their keys are those of ``report_of``."""
    found = (*(f for work in works for f in work.findings), *plan.findings, *of_files)
    return {
        "sheets": sheets_told(plan),
        "plan": plan_told(plan),
        "findings": [{"code": f.code, "severity": f.severity, "layer": f.layer, "message": str(f.message)}
                     for f in found],
        **_checked(found, checks_of_all(works, plan, of_files)),
        "version": __version__,
    }


def _checked(found, checks):
    return {
        "written_anyway": sorted({f.code for f in found if f.severity == STOP}),
        "preflight": [{"check": one.check.key, "state": one.state, "codes": sorted({f.code for f in one.findings})}
                      for one in checks],
    }


def _source(work, source_file):
    told = [{"code": f.code, "severity": f.severity, "message": f.message}
            for f in work.findings if f.code.startswith(_SOURCE_CODES)]
    return {
        "file": source_file,
        "width_px": work.whole.width,
        "height_px": work.whole.height,
        "dpi": work.whole.dpi,
        "mode": work.reading,
        "fitness": told,
        **({} if work.thin_lines is None else {"thin_lines": {
            "width_px": round(work.thin_lines.width_px, 2), "length_px": round(work.thin_lines.length_px),
            "times": work.thin_lines.times}}),
    }


def _layering(work):
    """The way of layering, and what all sheets take together."""
    return {
        "way": work.laying.way,
        "proposed": work.recipe.layering == PROPOSED,
        "why": work.laying.why or None,
        "laid_on": work.recipe.laid_on,
        "stack_height_mm": round(work.stack_height_mm, 3),
        "overlap_mm": work.laying.reach_mm(),
        "sheets": len(work.layers),
        "pieces": sum(layer.outline.pieces for layer in work.layers),
        "windows": sum(layer.outline.holes for layer in work.layers),
        "cut_length_mm": round(work.cut_length_mm, 3),
        "area_mm2": round(sum(layer.area_mm2 for layer in work.layers), 3),
        "weeding_cuts_mm": round(work.weeding_length_mm, 3),
        "thickest_sheets": None
        if work.draws_with_pens
        else sheets_on_each_other(work, work.depth, len(work.plans), work.laying.way),
    }


def _layer(layer, mm_per_px):
    outline = layer.outline
    return {
        "name": layer.plan.name,
        "hex": layer.plan.hex,
        "pieces": outline.pieces,
        "holes": outline.holes,
        "segments": outline.segments,
        "cut_length_mm": round(layer.cut_length_mm, 3),
        "area_mm2": round(layer.area_mm2, 3),
        "min_feature_mm": None if layer.min_feature_mm is None else round(layer.min_feature_mm, 3),
        "pen_mm": None if outline.pen_px is None else round(outline.pen_px * mm_per_px, 3),
    }


def _finding(finding, mm_per_px):
    return {
        "code": finding.code,
        "severity": finding.severity,
        "layer": finding.layer,
        "message": finding.message,
        "x_mm": None if finding.x_px is None else round(finding.x_px * mm_per_px, 3),
        "y_mm": None if finding.y_px is None else round(finding.y_px * mm_per_px, 3),
    }


def _sheets(work):
    """What is said of each sheet beside its outline."""
    recipe = work.recipe
    for layer, thick, cut in zip(work.layers, work.thicknesses_mm, work.sheet_cuts_mm, strict=False):
        key, material = layer.plan.key, recipe.material_of(layer.plan.key)
        yield {
            "way": recipe.edit_of(key).layering or work.laying.way if layer.plan.labels else None,
            "material": None if material is None else material.key,
            "thickness_mm": round(thick, 3),
            "helper_cuts_mm": round(cut - layer.cut_length_mm, 3),
        }


def _compared(work):
    """Figures of other choices: ways of layering, orders worth a look, and for line art numbers of sheets by each
    rule."""
    ways = [
        {
            "way": w.way,
            "sheets": w.sheets,
            "pieces": w.pieces,
            "windows": w.windows,
            "cut_length_mm": round(w.cut_mm, 3),
            "area_mm2": round(w.film_mm2, 3),
            "thickest_sheets": w.thickest,
            "stack_height_mm": round(w.height_mm, 3),
            "min_feature_mm": None if w.smallest_mm is None else round(w.smallest_mm, 3),
            "forgives_mm": None if w.slack_mm is None else round(w.slack_mm, 3),
        }
        for w in ways_compared(work)
    ]
    names = {plan.key: plan.name for plan in work.plans}
    orders = [
        {
            "why": o.why,
            "order": [names[key] for key in o.order],
            "cut_length_mm": round(o.cut_mm, 3),
            "pieces": o.pieces,
            "area_mm2": round(o.film_mm2, 3),
        }
        for o in orders_offered(work)
    ]
    numbers = (
        {
            rule: [
                {
                    "sheets": r.sheets,
                    "pieces": r.pieces,
                    "cut_length_mm": round(r.cut_mm, 3),
                    "saved_mm": round(r.saved_mm, 3),
                    "neighbours_alike": r.alike,
                }
                for r in line_art_ladder(work, rule)
            ]
            for rule in RULES
        }
        if work.reading == "tone"
        else None
    )
    return {"ways": ways, "orders": orders, "numbers_of_sheets": numbers}


def to_bytes(report: dict) -> bytes:
    return encoded(json.dumps(report, indent=2, ensure_ascii=False, allow_nan=False) + "\n")
