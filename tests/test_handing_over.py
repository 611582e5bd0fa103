"""A work on its way to whoever gets it: by the command, to a machine that is not there, as a package, in a batch."""

import io
import json
import os
import signal
import socket
import subprocess
import sys
import threading
import time
import zipfile
from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from pathlib import Path

import cv2
import numpy as np
import pypdfium2
import pytest
import shapely
from PIL import Image

from sketchloom.command.main import main
from sketchloom.core.base.errors import ExportError
from sketchloom.core.playback.machine import Bed, StandIn
from sketchloom.files import batch, cut_files, sending
from sketchloom.files.standing_in import Line

SOURCES = Path(__file__).resolve().parents[1] / "src"

@pytest.fixture
def mark(tmp_path):
    """A small picture of three flat colours."""
    pixels = np.full((160, 200, 3), 255, np.uint8)
    y, x = np.mgrid[:160, :200]
    pixels[np.hypot(x - 100, y - 80) < 64] = (32, 64, 160)
    pixels[np.hypot(x - 100, y - 80) < 34] = (224, 170, 40)
    pixels[20:40, 150:190] = (180, 60, 50)
    path = tmp_path / "mark.png"
    Image.fromarray(pixels).save(path)
    return path


@pytest.mark.parametrize("suffix", [".dxf", ".plt", ".nc", ".pdf", ".png", ".webp", ".svg"])
def test_the_suffix_says_the_format(mark, tmp_path, suffix):
    out = tmp_path / f"a{suffix}"
    assert main(["trace", str(mark), "--out", str(out), "--width", "100mm", "--quiet"]) == 0
    head = out.read_bytes()[:12]
    assert {".dxf": head.lstrip().startswith(b"0"), ".plt": head.startswith(b"IN;"), ".nc": head.startswith(b"("),
            ".pdf": head.startswith(b"%PDF"), ".png": head.startswith(b"\x89PNG"), ".webp": head[8:12] == b"WEBP",
            ".svg": head.startswith(b"<?xml")}[suffix]


@pytest.mark.parametrize(("words", "code"), [
    (["--out", "a.xyz"], 4), (["--out", "a"], 4), (["--out", "a.svg", "--format", "dxf"], 2),
    (["--out", "a.svg", "--package", "p.zip"], 2), (["--out", "a.nc", "--dialect", "nowhere"], 2),
    (["--out", "a.svg", "--since", "x.json"], 2), (["--out", "no/such/folder/a.dxf"], 4)])
def test_what_cannot_be_written_so_is_refused(mark, tmp_path, monkeypatch, capsys, words, code):
    monkeypatch.chdir(tmp_path)
    def there():
        return sorted(p.name for p in tmp_path.iterdir() if p.name != "data")  # of the user
    before = there()
    try:
        assert main(["trace", str(mark), *words, "--quiet"]) == code
    except SystemExit as end:
        assert end.code == code
    assert there() == before
    assert "Traceback" not in capsys.readouterr().err


def test_sheets_are_written_in_the_machines_language_and_checked(mark, tmp_path, capsys):
    out = tmp_path / "out"
    assert main(["trace", str(mark), "--out-dir", str(out), "--machine", "laser", "--format", "gcode", "--width",
                 "100mm", "--kerf", "0.2mm", "--report", str(tmp_path / "r.json"), "--quiet"]) == 0
    report = json.loads((tmp_path / "r.json").read_text())
    files = sorted(out.iterdir())
    assert len(files) == len(report["sheets"]) and all(f.suffix == ".nc" for f in files)
    assert report["written_anyway"] == []
    assert main(["check", "--json", *map(str, files)]) == 0
    told = json.loads(capsys.readouterr().out)
    for one, sheet in zip(told, report["sheets"], strict=True):
        assert one["open"] == 0 and not one["troubles"] and one["doubled_mm"] == 0
        wide = max(p["x_mm"] + p["width_mm"] for p in sheet["parts"]) - min(p["x_mm"] for p in sheet["parts"])
        assert one["width_mm"] == pytest.approx(wide + 0.2, abs=0.06)  # half of the kerf a side; parts are in chords


@pytest.mark.parametrize(("suffix", "rounding"), [(".svg", 0.02), (".dxf", 0.02), (".plt", 0.05), (".nc", 0.02)])
def test_one_work_is_as_large_in_every_format(mark, tmp_path, suffix, rounding):
    out = tmp_path / f"a{suffix}"
    assert main(["trace", str(mark), "--out", str(out), "--width", "100mm", "--machine", "laser", "--quiet"]) == 0
    told = cut_files.read(out).told
    plain = tmp_path / "whole.svg"
    main(["trace", str(mark), "--out", str(plain), "--width", "100mm", "--machine", "laser", "--quiet"])
    whole = cut_files.read(plain).told
    assert (told.width_mm, told.height_mm) == pytest.approx((whole.width_mm, whole.height_mm), abs=rounding)
    assert told.cut_mm == pytest.approx(whole.cut_mm, rel=2e-3) and told.open == 0


@pytest.mark.parametrize("form", ["hpgl", "gcode"])
def test_a_file_for_a_dragged_blade_is_checked_by_what_its_tip_cuts(mark, tmp_path, capsys, form):
    out = tmp_path / "o"
    main(["trace", str(mark), "--out-dir", str(out), "--machine", "blade", "--format", form, "--width", "100mm",
          "--quiet"])
    files = sorted(map(str, out.iterdir()))
    assert main(["check", *files]) == 0 and "name its --machine" in capsys.readouterr().out
    assert main(["check", "--json", "--machine", "blade", *files]) == 0
    told = json.loads(capsys.readouterr().out)
    assert [one["open"] for one in told] == [0] * len(files)
    assert max(one["width_mm"] for one in told) < 101
    assert main(["check", "--machine", "nowhere", *files]) == 2


@pytest.mark.parametrize("data", [b"", b"<svg/>", b"<!DOCTYPE x [<!ENTITY a 'b'>]><svg>&a;</svg>", b"0\nSECTION\n",
                                  b"\x00" * 500, b"<svg xmlns='http://www.w3.org/2000/svg'><path d='M0 0L1 1'/></svg"])
@pytest.mark.parametrize("suffix", [".svg", ".dxf", ".plt", ".nc"])
def test_a_broken_cut_file_is_a_sentence(tmp_path, capsys, data, suffix):
    path = tmp_path / f"a{suffix}"
    path.write_bytes(data)
    assert main(["check", str(path)]) == 3
    told = capsys.readouterr().err
    assert str(path) in told and "Traceback" not in told and len(told) < 400


def test_a_finding_that_says_stop_holds_the_files_back(mark, tmp_path, capsys):
    words = ["trace", str(mark), "--out-dir", str(tmp_path / "o"), "--machine", "blade", "--width", "900mm", "--divide",
             "off", "--quiet"]
    assert main(words) == 4 and not (tmp_path / "o").exists()
    assert "--anyway" in capsys.readouterr().err
    words = ["trace", str(mark), "--out", str(tmp_path / "a.svg"), "--machine", "blade", "--width", "900mm", "--divide",
             "off", "--report", str(tmp_path / "r.json"), "--quiet"]
    assert main(words) == 4 and not (tmp_path / "a.svg").exists()
    assert main([*words, "--anyway"]) == 0
    assert json.loads((tmp_path / "r.json").read_text())["written_anyway"] == ["sheets.too_large"]


@pytest.mark.parametrize("is_zip", [True, False])
def test_a_package_holds_the_job(mark, tmp_path, is_zip):
    target = tmp_path / ("job.zip" if is_zip else "job")
    assert main(["trace", str(mark), "--package", str(target), "--machine", "blade", "--width", "100mm",
                 "--names", "{name}_{what}_{width}", "--quiet"]) == 0
    if is_zip:
        archive = zipfile.ZipFile(target)
        files = {name: archive.read(name) for name in archive.namelist()}
    else:
        files = {p.name: p.read_bytes() for p in target.iterdir()}
    kinds = sorted({Path(n).suffix for n in files})
    assert kinds == [".json", ".pdf", ".plt", ".png", ".svg"]
    assert all(name.startswith("mark_") and "_100" in name for name in files)
    for name, data in files.items():
        if name.endswith(".pdf"):
            assert len(pypdfium2.PdfDocument(data)) >= 1
    assert json.loads(files["mark_report_100.json"])["sheets"]
    assert Image.open(io.BytesIO(files["mark_preview_100.png"])).mode == "RGBA"


def test_a_pattern_that_names_two_files_alike_is_refused(mark, tmp_path):
    assert main(["trace", str(mark), "--package", str(tmp_path / "j.zip"), "--machine", "blade", "--names", "{name}",
                 "--quiet"]) == 2
    assert not (tmp_path / "j.zip").exists()


def test_a_page_to_approve_marks_what_changed(mark, tmp_path):
    old = tmp_path / "old.json"
    assert main(["trace", str(mark), "--approval", str(tmp_path / "1.pdf"), "--write-recipe", str(old), "--width",
                 "100mm", "--quiet"]) == 0
    assert main(["trace", str(mark), "--approval", str(tmp_path / "2.pdf"), "--since", str(old), "--revision", "2",
                 "--width", "120mm", "--region", "104,18", "drop", "--quiet"]) == 0
    texts = []
    for name in ("1.pdf", "2.pdf"):
        page = pypdfium2.PdfDocument((tmp_path / name).read_bytes())[0]
        assert [round(v / 72 * 25.4) for v in page.get_size()] == [210, 297]  # ISO 216
        texts.append(page.get_textpage().get_text_range())
    assert "Revision 1" in texts[0] and "Changed" not in texts[0]
    assert "Revision 2" in texts[1] and "before 100.0" in texts[1] and "framed in red" in texts[1]
    seen = np.asarray(pypdfium2.PdfDocument((tmp_path / "2.pdf").read_bytes())[0].render(scale=2).to_pil())
    assert (np.abs(seen.astype(int) - (0xb3, 0x26, 0x1e)).max(-1) < 12).sum() > 100


def cuts_in(path):
    """Middles and boxes of the kiss cuts of an SVG, mm."""
    one = cut_files.read(path)
    kiss = one.moves.tool == 1
    down = one.moves.down & kiss
    edges = np.flatnonzero(np.diff(np.concatenate([[0], down.astype(int), [0]])))
    return [one.moves.end[a:b] for a, b in zip(edges[::2], edges[1::2], strict=True)]


def test_stickers_are_printed_with_a_bleed_and_cut_in_register(mark, tmp_path):
    """Read back as any printer and cutter would: the page drawn by a PDF library, the cuts by an SVG reader."""
    out = tmp_path / "s"
    assert main(["trace", str(mark), "--width", "70mm", "--print-cut", str(out), "--copies", "3", "--bleed", "2mm",
                 "--quiet"]) == 0
    page = pypdfium2.PdfDocument((out / "mark-print.pdf").read_bytes())[0]
    seen = np.asarray(page.render(scale=10 * 25.4 / 72).to_pil().convert("L"))  # ten pixels a mm
    cuts = cuts_in(out / "mark-cut-01.svg")
    assert len(cuts) == 3
    for ring in cuts:
        image = np.zeros(seen.shape, np.uint8)
        cv2.fillPoly(image, [np.rint(np.column_stack([ring[:, 0], 297.0 - ring[:, 1]]) * 10).astype(np.int32)], 1)
        near = cv2.dilate(image, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (33, 33))) > 0
        assert (seen[near] < 235).mean() > 0.995  # printed up to 1.6 mm past the cut
        far = cv2.dilate(image, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (49, 49))) > 0
        edge = far & ~(cv2.dilate(image, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (45, 45))) > 0)
        assert (seen[edge] < 235).mean() < 0.35


def test_a_camera_puts_the_cuts_where_the_page_lies(mark, tmp_path):
    words = ["trace", str(mark), "--width", "70mm", "--copies", "2", "--quiet"]
    assert main([*words, "--print-cut", str(tmp_path / "a")]) == 0
    page = pypdfium2.PdfDocument((tmp_path / "a" / "mark-print.pdf").read_bytes())[0]
    print_ = np.asarray(page.render(scale=8 * 25.4 / 72).to_pil().convert("RGB"))
    angle, scale, shift, mm = np.radians(3.0), 1.008, np.array([14.0, 9.0]), 0.2
    turned = scale * np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])
    matrix = np.column_stack([turned / (mm * print_.shape[1] / 210.0), shift / mm])
    bed = cv2.warpAffine(print_, matrix, (1250, 1700), flags=cv2.INTER_AREA, borderValue=(140, 140, 140))
    Image.fromarray(cv2.GaussianBlur(bed, (0, 0), 0.7)).save(tmp_path / "bed.png")
    assert main([*words, "--print-cut", str(tmp_path / "b"), "--camera", str(tmp_path / "bed.png"), "--camera-scale",
                 "0.2mm"]) == 0
    plain, there = cuts_in(tmp_path / "a" / "mark-cut-01.svg"), cuts_in(tmp_path / "b" / "mark-cut-01.svg")
    for one, other in zip(plain, there, strict=True):
        down = np.column_stack([one[:, 0], 297.0 - one[:, 1]]) @ turned.T + shift
        wanted = np.column_stack([down[:, 0], 297.0 - down[:, 1]])
        # the middles of the areas: points lie closer together on some curves than on others
        middles = [np.array(shapely.Polygon(ring).centroid.coords[0]) for ring in (wanted, other)]
        assert np.abs(middles[0] - middles[1]).max() <= 0.1
        assert np.ptp(other, axis=0) == pytest.approx(np.ptp(wanted, axis=0), abs=0.1)
    # by hand, at a slant: the bed of 250 × 340 mm with its corners
    flat = np.array([(0, 0), (1250, 0), (1250, 1700), (0, 1700)], np.float32) - 0.5
    slant = np.array([(130, 60), (1330, 110), (1280, 1790), (60, 1690)], np.float32)
    seen = cv2.warpPerspective(bed, cv2.getPerspectiveTransform(flat, slant), (1450, 1850), borderValue=(60, 60, 60))
    Image.fromarray(cv2.GaussianBlur(seen, (0, 0), 0.7)).save(tmp_path / "hand.png")
    corners = [f"{x},{y}" for x, y in slant.tolist()]
    for folder, more in (("d", ("--camera-corners", *corners)), ("e", ())):  # they are found, too
        assert main([*words, "--print-cut", str(tmp_path / folder), "--camera", str(tmp_path / "hand.png"),
                     "--camera-bed", "250x340mm", *more]) == 0
        for one, other in zip(there, cuts_in(tmp_path / folder / "mark-cut-01.svg"), strict=True):
            assert np.abs(one.mean(0) - other.mean(0)).max() <= 0.1
    assert main([*words, "--print-cut", str(tmp_path / "f"), "--camera", str(tmp_path / "hand.png"), "--camera-corners",
                 *corners]) == 2
    assert main([*words, "--print-cut", str(tmp_path / "c"), "--camera", str(mark), "--camera-scale", "0.2mm"]) == 3
    assert not (tmp_path / "c").exists()


def test_what_is_wrong_in_a_kept_recipient_is_left(tmp_path):
    from sketchloom.files.recipients import SHIPPED
    from sketchloom.recipe.document import Recipe

    bad = replace(SHIPPED[0], values=(("picture_dpi", "many"), ("kerf_mm", "-3"), ("dxf_version", "r99"),
                                      ("layers", "x"), ("bleed_mm", "4.5"), ("prints_picture", "True")))
    made = bad.applied(Recipe())
    assert made == replace(Recipe(), bleed_mm=4.5, prints_picture=True)


# -- a machine on a line -----------------------------------------------------------------------


class Served:
    """A stand-in that serves beside the test."""

    def __init__(self, language, bed=None, port=None):
        self.machine = StandIn(language, bed or Bed(305.0, 610.0, (0, 1, 2, 3, 4)))
        self.line = Line(self.machine, port)
        self._over = threading.Event()
        self._thread = threading.Thread(target=self.line.serve, args=(self._over.is_set, 0.02))

    def __enter__(self):
        self._thread.start()
        return self

    def __exit__(self, *_):
        self._over.set()
        self._thread.join()
        self.line.close()


@pytest.mark.parametrize("port", [None, 0])
@pytest.mark.parametrize(("language", "suffix"), [("hpgl", ".plt"), ("gcode", ".nc")])
def test_a_file_is_sent_and_cut_as_it_says(mark, tmp_path, language, suffix, port):
    out = tmp_path / f"a{suffix}"
    main(["trace", str(mark), "--out", str(out), "--width", "100mm", "--machine", "pen", "--quiet"])
    shares = []
    with Served(language, port=port) as served:
        assert sending.send(out.read_bytes(), language, served.line.address, shares.append) >= len(out.read_bytes()) - 1
        assert not served.machine.errors
        moves = served.machine.moves()
    wanted = cut_files.read(out).moves
    assert np.array_equal(moves.end, wanted.end) and np.array_equal(moves.down, wanted.down)
    assert shares == sorted(shares) and shares[-1] == pytest.approx(1.0, abs=0.01)


def test_the_stand_in_of_the_command_tells_what_came_while_it_goes_on(tmp_path):
    """A square by plotter language; a tool it does not have after it; an end that was asked for is a plain one."""
    square = tmp_path / "square.plt"
    square.write_bytes(b"IN;SP1;PU400,400;PD1200,400;PD1200,1200;PD400,1200;PD400,400;PU0,0;SP0;")
    away = tmp_path / "away.plt"
    away.write_bytes(b"IN;SP9;PU0,0;")
    with subprocess.Popen([sys.executable, "-m", "sketchloom", "stand-in", "hpgl"], stdout=subprocess.PIPE, text=True,
                          env=os.environ | {"PYTHONPATH": str(SOURCES)}) as machine:
        address = machine.stdout.readline().strip()
        assert main(["send", str(square), "--to", address, "--quiet"]) == 0
        assert machine.stdout.readline() == "1 cuts, 80 mm, 20.0 × 20.0 mm\n"
        assert main(["send", str(away), "--to", address, "--quiet"]) == 4
        assert machine.stdout.readline().startswith("1 cuts") and "tool" in machine.stdout.readline()
        machine.send_signal(signal.SIGTERM)
        assert machine.wait(20) == 0


@pytest.mark.parametrize(("language", "data", "sentence"), [
    ("gcode", b"G21\nG90\nG0 X900 Y10\n", "out of range"), ("gcode", b"M6 T9\n", "missing"),
    ("gcode", b"G21\nG1 X1 Y1\n", "without a feed"), ("hpgl", b"IN;PA;PU99999,0;", "out of range"),
    ("hpgl", b"IN;SP7;PU0,0;", "tool that is missing"), ("hpgl", b"IN;QQ1;", "does not know")])
def test_a_machine_that_refuses_is_told_with_what_was_sent(language, data, sentence):
    with Served(language) as served, pytest.raises(ExportError) as told:
        sending.send(data, language, served.line.address)
    assert sentence in str(told.value) and "bytes were sent" in str(told.value)


def test_a_line_that_closes_or_is_not_there_is_a_sentence(monkeypatch, tmp_path, capsys):
    server = socket.create_server(("127.0.0.1", 0))
    threading.Thread(target=lambda: server.accept()[0].close()).start()
    with pytest.raises(ExportError, match="bytes were sent"):
        sending.send(b"G21\nG90\n", "gcode", f"tcp:127.0.0.1:{server.getsockname()[1]}")
    server.close()
    path = tmp_path / "a.plt"
    path.write_bytes(b"IN;")
    assert main(["send", str(path), "--to", str(tmp_path / "nowhere")]) == 4
    assert main(["send", str(path), "--to", "tcp:127.0.0.1:x"]) == 4
    assert main(["send", str(tmp_path / "a.svg"), "--to", "x"]) == 2
    monkeypatch.setattr(sending, "_ANSWER_S", 0.05)
    silent = socket.create_server(("127.0.0.1", 0))
    with pytest.raises(ExportError, match="says nothing"):
        sending.send(b"G21\n", "gcode", f"tcp:127.0.0.1:{silent.getsockname()[1]}")
    silent.close()
    assert "Traceback" not in capsys.readouterr().err


# -- batches ------------------------------------------------------------------------------------


def pictures(folder, count):
    folder.mkdir(exist_ok=True)
    for n in range(count):
        rng = np.random.default_rng(n)
        pixels = np.full((90, 110, 3), 250, np.uint8)
        y, x = np.mgrid[:90, :110]
        pixels[np.hypot(x - rng.uniform(40, 70), y - 45) < rng.uniform(15, 35)] = rng.integers(0, 160, 3)
        Image.fromarray(pixels).save(folder / f"p{n:02d}.png")
    return folder


def test_a_batch_tells_each_picture_and_does_none_twice(tmp_path):
    folder, out = pictures(tmp_path / "in", 4), tmp_path / "out"
    (folder / "p01.png").write_bytes(b"no picture")
    with ThreadPoolExecutor(2) as executor:
        one = list(batch.Batch(out, "{}").run(batch.pictures_in(folder), executor, 2))
    assert [d.file for d in one if d.why] == [str(folder / "p01.png")] and len(one) == 4
    assert all((out / name).is_file() for d in one for name in d.outputs)
    times = {p: p.stat().st_mtime_ns for p in out.glob("*.svg")}
    with ThreadPoolExecutor(2) as executor:
        again = list(batch.Batch(out, "{}").run(batch.pictures_in(folder), executor, 2))
    assert {p: p.stat().st_mtime_ns for p in out.glob("*.svg")} == times
    assert {d.key for d in again} == {d.key for d in one}
    pages = pypdfium2.PdfDocument(batch.contact_sheet(out, one))
    assert len(pages) == 2 and "p01.png" in pages[1].get_textpage().get_text_range()


def test_copies_under_other_names_are_pictures_of_their_own(tmp_path):
    folder, out = pictures(tmp_path / "in", 2), tmp_path / "out"
    for name in ("copy.png", "p00 (2).png"):
        (folder / name).write_bytes((folder / "p00.png").read_bytes())
    for _ in range(2):  # begun anew, too
        with ThreadPoolExecutor(2) as executor:
            done = list(batch.Batch(out, "{}").run(batch.pictures_in(folder), executor, 2))
        assert {Path(d.file).name for d in done} == {"p00.png", "p01.png", "copy.png", "p00 (2).png"}
        assert len(list(out.glob("*.svg"))) == len({d.outputs[0] for d in done}) == 4


def test_a_batch_that_was_killed_goes_on_and_ends_as_one_that_was_not(tmp_path):
    folder, out = pictures(tmp_path / "in", 10), tmp_path / "out"
    words = [sys.executable, "-m", "sketchloom", "batch", str(folder), "--out-dir", str(out), "--processes", "1"]
    environment = {**os.environ, "PYTHONPATH": str(SOURCES)}
    begun = subprocess.Popen(words, env=environment, stderr=subprocess.PIPE, start_new_session=True)
    for line in begun.stderr:
        if line.startswith(b"2 of 10"):
            break
    os.killpg(begun.pid, signal.SIGKILL)
    begun.wait()
    begun.stderr.close()
    kept = [json.loads(line) for line in (out / batch.SINCE).read_text().splitlines()]
    assert 2 <= len(kept) < 10 and not (out / batch.STATE).exists()
    with (out / batch.SINCE).open("a") as file:
        file.write('{"file": "p09.png", "key": "half a li')  # as a kill may leave it
    times = {name: (out / name).stat().st_mtime_ns for row in kept for name in row["outputs"]}
    time.sleep(0.05)
    done = subprocess.run(words, env=environment, capture_output=True, text=True, check=False)
    assert done.returncode == 0, done.stderr
    assert {name: (out / name).stat().st_mtime_ns for name in times} == times
    assert len(list(out.glob("*.svg"))) == 10 and (out / batch.SHEET).is_file()
    assert len(json.loads((out / batch.STATE).read_text())) == 10 and not (out / batch.SINCE).exists()
    alone = tmp_path / "alone.svg"
    main(["trace", str(folder / "p07.png"), "--out", str(alone), "--quiet"])
    assert next(out.glob("p07-*.svg")).read_bytes() == alone.read_bytes()


def test_a_batch_runs_on_machines_of_a_scheduler(tmp_path):
    distributed = pytest.importorskip("distributed")
    folder, out = pictures(tmp_path / "in", 3), tmp_path / "out"
    with distributed.LocalCluster(n_workers=1, threads_per_worker=1, host="127.0.0.1",
                                  dashboard_address=None) as cluster:
        assert main(["batch", str(folder), "--out-dir", str(out), "--scheduler", cluster.scheduler_address,
                     "--quiet"]) == 0
    assert len(list(out.glob("*.svg"))) == 3


def test_wrong_words_of_a_batch_are_told(tmp_path, capsys):
    assert main(["batch", str(tmp_path / "no"), "--out-dir", str(tmp_path / "o")]) == 3
    (tmp_path / "r.json").write_text("[")
    assert main(["batch", str(tmp_path), "--out-dir", str(tmp_path / "o"), "--recipe", str(tmp_path / "r.json")]) == 2
    assert main(["batch", str(tmp_path), "--out-dir", str(tmp_path / "o"), "--processes", "0"]) == 2
    assert "Traceback" not in capsys.readouterr().err
