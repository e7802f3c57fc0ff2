@sexsign($animal->sex)
