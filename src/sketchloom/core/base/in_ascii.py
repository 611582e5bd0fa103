"""Text for readers that know no letter beyond ASCII."""

import unicodedata

_IN_PLAIN = str.maketrans({"×": "x", "ß": "ss", "–": "-", "—": "-", "·": ".", "÷": "/", "æ": "ae", "Æ": "Ae", "œ": "oe",
                           "Œ": "Oe", "ø": "o", "Ø": "O", "ł": "l", "Ł": "L", "đ": "d", "Đ": "D"})


def in_ascii(text: str) -> str:
    """Letters without their marks, signs as what is typed for them; what has no such likeness is left out."""
    return unicodedata.normalize("NFKD", text.translate(_IN_PLAIN)).encode("ascii", "ignore").decode()
