"""What a desktop knows of the program, and small pictures of projects."""

import configparser
import io
import shutil
import subprocess
import xml.etree.ElementTree as ET
import zipfile

import pytest
from PIL import Image

from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE
from sketchloom.command.main import main
from sketchloom.files import desktop
from sketchloom.files.demo_works import put_demo_projects
from sketchloom.files.opening import READABLE


@pytest.fixture(scope="module")
def project(tmp_path_factory):
    return put_demo_projects(tmp_path_factory.mktemp("demo"))["lighthouse"]


def entry(text):
    parser = configparser.ConfigParser(interpolation=None, strict=True)
    parser.optionxform = str
    parser.read_string(text)
    return parser


def test_it_is_put_into_a_folder_of_data_and_taken_out_again(tmp_path, capsys):
    assert main(["desktop", "install", "--folder", str(tmp_path), "--command", "/opt/sketch loom/loom"]) == DONE
    paths = [tmp_path / place for place in desktop.PLACES.values()]
    assert all(path.is_file() for path in paths)
    assert str(paths[0]) in capsys.readouterr().out
    # the keys that the Desktop Entry Specification 1.5 requires of an application, and the words it knows
    found = entry(paths[0].read_text())
    main_group = found["Desktop Entry"]
    assert main_group["Type"] == "Application" and main_group["Name"] and main_group["Terminal"] == "false"
    assert main_group["Exec"] == '"/opt/sketch loom/loom" %F'
    assert main_group["MimeType"].endswith(";") and "application/x-sketch-loom" in main_group["MimeType"]
    for action in main_group["Actions"].rstrip(";").split(";"):
        assert found[f"Desktop Action {action}"]["Exec"]
    thumbnailer = entry((tmp_path / desktop.PLACES["sketch-loom.thumbnailer"]).read_text())["Thumbnailer Entry"]
    assert {"%i", "%o", "%s"} <= set(thumbnailer["Exec"].split())
    mime = ET.parse(tmp_path / desktop.PLACES["sketch-loom.xml"]).getroot()
    globs = [one.get("pattern") for one in mime.iter("{http://www.freedesktop.org/standards/shared-mime-info}glob")]
    assert globs == ["*.sloom"]
    assert main(["desktop", "remove", "--folder", str(tmp_path)]) == DONE
    assert not any(path.exists() for path in paths)
    capsys.readouterr()
    assert main(["desktop", "remove", "--folder", str(tmp_path)]) == DONE
    assert "Nothing was there" in capsys.readouterr().out


def test_every_kind_of_file_that_is_opened_is_offered_to_the_desktop():
    kinds = entry(desktop.texts(["loom"])["sketch-loom.desktop"].decode())["Desktop Entry"]["MimeType"]
    of_suffix = {".png": "image/png", ".jpg": "image/jpeg", ".jpeg": "image/jpeg", ".webp": "image/webp",
                 ".bmp": "image/bmp", ".tif": "image/tiff", ".tiff": "image/tiff", ".gif": "image/gif",
                 ".heic": "image/heif", ".heif": "image/heif", ".avif": "image/avif", ".svg": "image/svg+xml",
                 ".pdf": "application/pdf", ".dxf": "image/vnd.dxf", ".sloom": "application/x-sketch-loom"}
    for suffix in READABLE:
        assert of_suffix[suffix] in kinds.split(";"), suffix


def test_a_word_with_spaces_and_marks_is_quoted_as_the_specification_says():
    """Desktop Entry Specification 1.5, the Exec key: reserved characters in double quotes, the four marks escaped."""
    text = desktop.texts(['/a "b"/$c', "100%"])["sketch-loom.desktop"].decode()
    assert 'Exec="/a \\"b\\"/\\$c" "100%%" %F' in text


def test_what_the_store_reads_is_valid(tmp_path):
    """AppStream's own validator, where the system has it."""
    program = shutil.which("appstreamcli")
    if program is None:
        pytest.skip("appstreamcli is not there")
    desktop.install(tmp_path, ["loom"])
    path = tmp_path / desktop.PLACES["sketch-loom.metainfo.xml"]
    done = subprocess.run([program, "validate", "--no-net", str(path)], capture_output=True, text=True)
    errors = [line for line in done.stdout.splitlines() if line.lstrip().startswith("E:")]
    assert not errors, done.stdout


def test_a_project_has_a_small_picture(project, tmp_path, capsys):
    out = tmp_path / "small.png"
    assert main(["thumbnail", str(project), str(out), "--size", "96"]) == DONE
    with Image.open(out) as picture:
        assert max(picture.size) == 96 and picture.format == "PNG"
    # one without a preview shows its source
    bare = tmp_path / "bare.sloom"
    with zipfile.ZipFile(project) as archive, zipfile.ZipFile(bare, "w") as other:
        for member in archive.infolist():
            if member.filename != "preview.png":
                other.writestr(member.filename, archive.read(member))
    assert main(["thumbnail", str(bare), str(out), "--size", "64"]) == DONE
    assert max(Image.open(io.BytesIO(out.read_bytes())).size) == 64
    # what is none, and what cannot be written
    (tmp_path / "no.sloom").write_bytes(b"PK\x03\x04 no project")
    before = out.read_bytes()
    assert main(["thumbnail", str(tmp_path / "no.sloom"), str(out)]) == UNREADABLE and out.read_bytes() == before
    assert main(["thumbnail", str(project), str(tmp_path / "nowhere" / "x.png")]) in (DONE, UNWRITABLE)
    assert "no.sloom" in capsys.readouterr().err
